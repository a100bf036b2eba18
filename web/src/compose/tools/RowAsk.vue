<script setup lang="ts">
import { mdiDiceMultipleOutline, mdiSwapVertical } from '@mdi/js'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { isChance, type Block, type Role } from '@esfuerzo/core'
import { canArrange, orderFindings } from '@esfuerzo/core/tools'
import { library } from '../../repertoire/library.ts'
import { useSession } from '../session/useSession.ts'
import { usePanel } from '../panel/usePanel.ts'
import { orderMark } from './findingsText.ts'

/**
 * A block row's own question: the order of its stations if it has a problem; how long chance takes. `brief`: there is no room for words
 * next to a long name.
 */
const props = defineProps<{ block: Block; role: Role; brief?: boolean }>()
const { t } = useI18n()
const session = useSession()
const panel = usePanel()
const arranges = computed(() => canArrange(props.block))
/** A warm-up may repeat a muscle; in hard work, two in a row are worth a hint. */
const working: readonly Role[] = ['main', 'skill', 'challenge']
const mark = computed(() =>
  arranges.value && working.includes(props.role)
    ? orderMark(orderFindings(session.document, props.block.id, library), t)
    : undefined,
)
</script>

<template>
  <small v-if="mark && !brief" class="said">{{ mark }}</small>
  <button
    v-if="arranges"
    type="button"
    class="ask"
    tabindex="-1"
    :aria-label="mark ? `${mark}: ${t('arrange.title')}` : t('arrange.title')"
    :title="mark ? `${mark}: ${t('arrange.title')}` : t('arrange.title')"
    @click.stop="panel.show({ kind: 'arrange', block: block.id })"
  >
    <v-icon :icon="mdiSwapVertical" size="18" />
  </button>
  <button
    v-else-if="isChance(block)"
    type="button"
    class="ask"
    tabindex="-1"
    :aria-label="t('chance.title')"
    :title="t('chance.title')"
    @click.stop="panel.show({ kind: 'chance', block: block.id })"
  >
    <v-icon :icon="mdiDiceMultipleOutline" size="18" />
  </button>
</template>

<style scoped>
/* Not part of the button: a click on the row's words selects the row. */
.said {
  flex: 0 1 auto;
  min-width: 0;
  margin-left: auto;
  color: var(--care);
  font-size: 12px;
  line-height: 1.15;
  text-align: right;
}
.ask {
  flex: none;
  width: 32px;
  height: 32px;
  padding: 0;
  border: 0;
  border-radius: var(--corner);
  background: none;
  color: var(--action);
  cursor: pointer;
}
:not(.said) + .ask {
  margin-left: auto;
}
.ask:hover {
  background: var(--action-soft);
}
@container name (max-width: 200px) {
  .said {
    display: none;
  }
  .ask {
    margin-left: auto;
  }
}
</style>
