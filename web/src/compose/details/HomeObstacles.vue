<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { obstacles, setDetails, type Home, type Move, type Version } from '@esfuerzo/core'
import { library } from '../../repertoire/library.ts'
import { useSession } from '../session/useSession.ts'
import { useEdits } from '../edits/useEdits.ts'

/** What prevents a version in this session's home, and what would work instead. */
const props = defineProps<{ move: Move; version: Version }>()
const { t } = useI18n()
const session = useSession()
const edits = useEdits()
const home = computed(() => session.document.home)
const found = computed(() => obstacles(props.move, props.version, home.value, library))
const setHome = (change: Partial<Home>) => edits.edit((now) => setDetails(now, { home: change }))
const onStandIn = (kit: string, standIn: string) => setHome({ standIns: { ...home.value.standIns, [kit]: standIn } })
const onThere = (kit: string) => setHome({ kit: [...home.value.kit, kit] })
</script>

<template>
  <ul v-if="found.length" class="obstacles">
    <li v-for="(o, i) in found" :key="i">
      <template v-if="o.code === 'kit'">
        {{ t('home.kit', { name: library.kit.get(o.kit)?.name ?? o.kit }) }}
        <span class="choices">
          <v-btn
            v-for="standIn in o.real ? [] : library.kit.get(o.kit)?.standIns"
            :key="standIn"
            size="small"
            @click="onStandIn(o.kit, standIn)"
            >{{ t('home.take', { name: standIn }) }}</v-btn
          >
          <v-btn size="small" @click="onThere(o.kit)">{{ t('home.there') }}</v-btn>
        </span>
        <span v-if="o.real">{{ t('home.real') }}</span>
        <span v-else-if="library.kit.get(o.kit)?.noStandIn">{{ library.kit.get(o.kit)?.noStandIn }}</span>
      </template>
      <template v-else-if="o.code === 'space'">{{ t('home.space', { needs: t(`space.${o.needs}`) }) }}</template>
      <template v-else>{{ t(`home.${o.code}`) }}</template>
    </li>
  </ul>
</template>

<style scoped>
.obstacles {
  padding: 8px 10px;
  border-left: 4px solid var(--care);
  background: var(--care-soft);
  font-size: 14px;
  display: grid;
  gap: 8px;
}
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 4px;
}
.choices .v-btn {
  font-size: 14px !important;
  height: 34px !important;
  padding: 0 8px;
}
</style>
