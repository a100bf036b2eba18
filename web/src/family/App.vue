<script setup lang="ts">
import { useFloor } from '../shared/look/useFloor.ts'
import { startLanguage, useLanguage } from './useLanguage.ts'

// The scheme and the language chosen on this device apply to every page.
useFloor()
void useLanguage().speak(startLanguage())
</script>

<template>
  <router-view />
</template>
