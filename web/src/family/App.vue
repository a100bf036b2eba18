<script setup lang="ts">
import { useFloor } from '../shared/look/useFloor.ts'
import { startLanguage, useLanguage } from './useLanguage.ts'

// The floor and the language that were chosen on this device hold for every page.
useFloor()
void useLanguage().speak(startLanguage())
</script>

<template>
  <router-view />
</template>
