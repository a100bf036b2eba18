<script setup lang="ts">
import ArrangePanel from './ArrangePanel.vue'
import ChancePanel from './ChancePanel.vue'
import FinishPanel from './FinishPanel.vue'
import FitPanel from './FitPanel.vue'
import NextPanel from './NextPanel.vue'
import SuggestPanel from './SuggestPanel.vue'
import type { Tool } from './tool.ts'

/** The open tool in the panel, created again for another block. */
defineProps<{ tool: Tool }>()
</script>

<template>
  <FitPanel v-if="tool.kind === 'fit'" :key="`fit-${tool.fill}`" :fill="tool.fill === true" />
  <FinishPanel v-else-if="tool.kind === 'finish'" />
  <NextPanel v-else-if="tool.kind === 'next'" :key="tool.from" :from="tool.from" :of-class="tool.ofClass" />
  <SuggestPanel v-else-if="tool.kind === 'suggest'" :key="`suggest-${tool.block}`" :block="tool.block" />
  <ArrangePanel v-else-if="tool.kind === 'arrange'" :key="tool.block" :block="tool.block" />
  <ChancePanel v-else :key="tool.block" :block="tool.block" />
</template>
