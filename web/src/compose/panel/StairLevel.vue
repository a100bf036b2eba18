<script setup lang="ts">
/** How hard a version is: a staircase filled up to its step. */
defineProps<{ at: number; of: number }>()
</script>

<template>
  <span class="stair" aria-hidden="true"
    ><i v-for="n in of" :key="n" :class="{ on: n <= at }" :style="{ height: `${3 + n * 3}px` }"
  /></span>
</template>

<style scoped>
.stair {
  display: inline-flex;
  gap: 1.5px;
  align-items: flex-end;
  flex: none;
}
i {
  width: 4px;
  background: var(--line);
}
i.on {
  background: var(--ink);
}
</style>
