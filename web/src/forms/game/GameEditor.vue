<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import { cleanText, setBlock, type BlockOf, type Scope } from '@esfuerzo/core'
import NumberField from '../../shared/fields/NumberField.vue'
import { useEdits } from '../../compose/edits/useEdits.ts'
import FactFields from '../FactFields.vue'
import TextField from '../../shared/fields/TextField.vue'

/** A game in words: set-up, rules, and how it gets harder. */
const props = defineProps<{ block: BlockOf<'game'>; scope: Scope }>()
const { t } = useI18n()
const edits = useEdits()
const set = (fields: Partial<BlockOf<'game'>>, what: string) =>
  edits.edit((w) => setBlock(w, props.block.id, 'game', (b) => ({ ...b, ...fields })), `${what}:${props.block.id}`)
const onHarder = (typed: string) =>
  set(
    {
      harder: typed
        .split('\n')
        .map((line) => cleanText(line, 'line'))
        .filter((line) => line.trim())
        .slice(0, 6),
    },
    'harder',
  )
</script>

<template>
  <FactFields :block="block" :scope="scope" />
  <TextField
    :model-value="block.setUp"
    :label="t('game.setUp')"
    tall
    @update:model-value="(setUp) => set({ setUp }, 'setUp')"
  />
  <TextField
    :model-value="block.rules"
    :label="t('game.rules')"
    tall
    @update:model-value="(rules) => set({ rules }, 'rules')"
  />
  <v-textarea
    :model-value="block.harder.join('\n')"
    :label="t('game.harder')"
    maxlength="700"
    @change="onHarder(($event.target as HTMLTextAreaElement).value)"
  />
  <NumberField
    :model-value="block.players"
    :min="1"
    :max="8"
    :label="t('game.players')"
    @update:model-value="set({ players: $event }, 'players')"
  />
</template>
