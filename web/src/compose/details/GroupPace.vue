<script setup lang="ts">
import { computed, onMounted, shallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { setGroup, type Group } from '@esfuerzo/core'
import type { SchoolClass } from '@esfuerzo/contract'
import { client } from '../../shared/client.ts'
import { useEdits } from '../edits/useEdits.ts'

/** The pace that times each lane: the usual one of its grades, or a class's own if its teacher uses it. */
const props = defineProps<{ groups: readonly Group[] }>()
const { t } = useI18n()
const edits = useEdits()
const classes = shallowRef<readonly SchoolClass[]>([])
onMounted(async () => {
  classes.value = (await client('listClasses', {}).catch(() => ({ classes: [] }))).classes
})
const much = (pace: number) => {
  const n = Math.round((pace - 1) * 100)
  return `${n > 0 ? '+' : n < 0 ? '−' : '±'}${Math.abs(n)} %`
}
/** The lanes of a class with its own pace, or that already have one. */
const choices = computed(() =>
  props.groups.flatMap((group) => {
    const own = classes.value.filter((c) => c.pace && c.grades.some((grade) => group.grades.includes(grade)))
    const known = own.map((c) => ({ value: c.pace!, title: t('pace.ofClass', { name: c.name, much: much(c.pace!) }) }))
    const here =
      group.pace !== undefined && !known.some((k) => k.value === group.pace)
        ? [{ value: group.pace, title: much(group.pace) }]
        : []
    const items = [{ value: 1, title: t('pace.usual') }, ...here, ...known]
    return items.length > 1 ? [{ group, items }] : []
  }),
)
const set = (id: string, pace: number) => edits.edit((w) => setGroup(w, id, { pace }), `pace:${id}`)
</script>

<template>
  <v-select
    v-for="{ group, items } in choices"
    :key="group.id"
    :model-value="group.pace ?? 1"
    :items="items"
    :label="t('pace.ofLane', { name: group.name })"
    @update:model-value="(pace: number) => set(group.id, pace)"
  />
</template>
