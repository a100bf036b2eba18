<script setup lang="ts">
withDefaults(defineProps<{ size?: number }>(), { size: 34 })
</script>

<template>
  <svg :width="size" :height="size" viewBox="0 0 34 34" aria-hidden="true">
    <path d="M4 31V15a13 13 0 0 1 26 0v16" fill="none" stroke="var(--lane-A)" stroke-width="3" />
    <path d="M10 31V16a7 7 0 0 1 14 0v15" fill="none" stroke="var(--lane-B)" stroke-width="3" stroke-dasharray="5 3" />
    <path d="M15.4 31V16M18.6 31V16" stroke="var(--lane-C)" stroke-width="1.6" />
  </svg>
</template>
