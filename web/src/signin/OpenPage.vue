<script setup lang="ts">
import MarkLogo from '../shared/look/MarkLogo.vue'

/** The common layout of pages before sign-in: one card in the middle of the page. */
defineProps<{ title: string; lead?: string }>()
const emit = defineEmits<{ submit: [] }>()
</script>

<template>
  <main class="open-page">
    <form class="card" @submit.prevent="emit('submit')">
      <header>
        <MarkLogo :size="44" />
        <h1>{{ title }}</h1>
      </header>
      <p v-if="lead" class="quiet">{{ lead }}</p>
      <slot />
    </form>
  </main>
</template>

<style scoped>
.open-page {
  min-height: 100vh;
  display: grid;
  place-items: center;
  padding: 16px;
}
form {
  width: min(400px, 100%);
  padding: 32px;
  display: grid;
  gap: 16px;
}
header {
  display: flex;
  gap: 12px;
  align-items: center;
}
form :deep(p) {
  margin: 0;
}
form :deep(a) {
  color: var(--action);
}
form :deep(.links) {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px 16px;
}
</style>
