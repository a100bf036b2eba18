import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import type { Session } from '@esfuerzo/core'
import { checkSession, findingKey, type CheckOptions, type Finding } from '@esfuerzo/core/checks'
import { library } from '../../repertoire/library.ts'
import { useRepertoire } from '../../repertoire/store.ts'
import { useSettings } from '../../settings/store.ts'
import { client } from '../../shared/client.ts'
import { useSession } from '../session/useSession.ts'

/** Milliseconds after the last change until the session is checked: nothing flickers while somebody types. */
const settles = 500

/** The checks of the session on screen. */
export const useChecks = defineStore('checks', () => {
  const session = useSession()
  const settings = useSettings()
  const repertoire = useRepertoire()
  /** What checks depend on: the school's weights and the exercises its classes were sent. */
  const options = computed((): CheckOptions => ({
    policies: settings.settings?.checks ?? {},
    context: {
      known: new Set(repertoire.lately.keys()),
      heldWarmUp: settings.settings?.policy.warmUp === 'mixed',
    },
  }))
  const found = shallowRef<readonly Finding[]>([])
  /** The session that was checked: a moment behind the one on screen while somebody types. */
  const looked = shallowRef(session.document)
  watchDebounced(
    [() => session.document, options],
    () => {
      looked.value = session.document
      found.value = checkSession(session.document, library, options.value)
    },
    { debounce: settles, immediate: true },
  )

  /** Findings that a sent session already had when it was opened: nobody is blamed for last term. */
  const before = shallowRef<ReadonlySet<string>>(new Set())
  async function takeBefore(opened: Session): Promise<void> {
    const { id } = session
    try {
      const { document } = await client('lastSent', { params: { id } })
      if (document && session.id === id)
        before.value = new Set(checkSession(opened, library, options.value).map((f) => findingKey(f)))
    } catch {
      // Without an answer, everything is shown.
    }
  }
  // Loaded once there is something to check, and the session as it was opened.
  let opened: Session | undefined
  watch(
    () => session.loads,
    () => {
      before.value = new Set()
      opened = session.id ? session.document : undefined
    },
    { immediate: true },
  )
  watch(found, (now) => {
    if (!opened || !now.some((f) => f.answered === undefined && f.level !== 'stop')) return
    void takeBefore(opened)
    opened = undefined
  })

  const wasThere = (f: Finding) => f.level !== 'stop' && before.value.has(findingKey(f))
  const unanswered = computed(() => found.value.filter((f) => f.answered === undefined))
  const open = computed(() => unanswered.value.filter((f) => !wasThere(f)))

  /** The most serious open finding of each row and group, marked beside them. Tips are not marked. */
  const marked = (ids: (f: Finding) => readonly (string | undefined)[]) =>
    computed(() => {
      const map = new Map<string, Finding[]>()
      for (const f of open.value)
        if (f.level !== 'note') for (const id of ids(f)) if (id) map.set(id, [...(map.get(id) ?? []), f])
      return map
    })

  return {
    options,
    looked: computed(() => looked.value),
    /** Open: neither ignored nor there before she returned to a session that was sent. */
    open,
    /** Ignored findings. */
    answered: computed(() => found.value.filter((f) => f.answered !== undefined)),
    /** Findings from before it was sent. */
    before: computed(() => unanswered.value.filter(wasThere)),
    /** Findings to review before it is sent. */
    toLookAt: computed(() => open.value.filter((f) => f.level !== 'note').length),
    rows: marked(({ where }) => [where.station ?? where.block ?? where.section]),
    lanes: marked(({ groups }) => groups),
  }
})
