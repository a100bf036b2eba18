<script setup lang="ts">
import RunsPanel from '../../runs/RunsPanel.vue'
import { useSession } from '../session/useSession.ts'

/** The results of the session on screen. */
const session = useSession()
</script>

<template>
  <RunsPanel :session-id="session.id" />
</template>
