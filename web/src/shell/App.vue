<script setup lang="ts">
import { computed, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useTheme } from 'vuetify'
import { useFloor } from '../shared/look/useFloor.ts'
import NavRail from './NavRail.vue'

const route = useRoute()
const theme = useTheme()
const { isNight } = useFloor()
watch(isNight, (night) => theme.change(night ? 'night' : 'day'), { immediate: true })
const bare = computed(() => route.meta.open || route.meta.bare)
</script>

<template>
  <v-app>
    <div class="shell" :class="{ bare }">
      <NavRail v-if="!bare" />
      <router-view />
    </div>
  </v-app>
</template>

<style scoped>
.shell {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr);
  min-height: 100vh;
}
.shell.bare {
  grid-template-columns: minmax(0, 1fr);
}
@media (max-width: 640px) {
  .shell {
    grid-template-columns: minmax(0, 1fr);
    grid-template-rows: auto 1fr;
  }
}
@media print {
  .shell {
    display: block;
  }
}
</style>
