<script setup lang="ts">
import { computed } from 'vue'
import { rungsFor, type BlockOf, type Scope } from '@esfuerzo/core'
import FactFields from '../FactFields.vue'

/** A ladder, drawn as one. */
const props = defineProps<{ block: BlockOf<'ladder'>; scope: Scope }>()
const steps = computed(() => {
  // The shared rungs belong to no group.
  return rungsFor(props.block, props.scope === 'all' ? '' : props.scope[0]!)
})
const top = computed(() => Math.max(1, ...steps.value))
</script>

<template>
  <div class="ladder" role="img" :aria-label="steps.join(', ')">
    <span v-for="(n, i) in steps.slice(0, 40)" :key="i" class="rung"
      ><b v-if="steps.length <= 20">{{ n }}</b><i :style="{ height: `${8 + (n / top) * 44}px` }"
    /></span>
  </div>
  <FactFields :block="block" :scope="scope" />
</template>

<style scoped>
.ladder {
  display: flex;
  align-items: flex-end;
  gap: 2px;
  min-height: 70px;
  border-bottom: 2px solid var(--line);
}
.rung {
  flex: 1;
  display: grid;
  justify-items: center;
  align-content: end;
  font-size: 12px;
}
i {
  width: 100%;
  background: var(--ink);
}
</style>
