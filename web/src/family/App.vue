<script setup lang="ts">
import { useFloor } from '../shared/look/useFloor.ts'

// The floor that was chosen on this device holds for every page.
useFloor()
</script>

<template>
  <router-view />
</template>
