<script setup lang="ts">
/** A picture of a thing to fetch, for a child who cannot read yet. */
defineProps<{ kit: string }>()

/** Strokes in a box of 24 by 24, by the id of the thing. Ours. */
const strokes: Readonly<Record<string, string>> = {
  chair: 'M7 3v18M7 12h9v9',
  wall: 'M4 4h16v16H4zM4 9.5h16M4 15h16M10 4v5.5M15 9.5V15M9 15v5',
  mat: 'M3 17l4-6h14l-4 6z',
  'school-bag': 'M6 20V10a6 6 0 0 1 12 0v10zM9 20v-6h6v6M10 3h4',
  'floor-line': 'M3 18h18M3 15v6M21 15v6',
  table: 'M3 8h18M5 8v12M19 8v12',
  bottle: 'M10 3h4v4l2 3v11H8V10l2-3z',
  socks: 'M8 3v9l-4 4a3 3 0 0 0 5 4l6-6V3zM8 7h7',
  'soft-ball': 'M12 5a7 7 0 1 0 .01 0z',
  ball: 'M12 5a7 7 0 1 0 .01 0zM5 12h14M12 5c-4 4-4 10 0 14M12 5c4 4 4 10 0 14',
  band: 'M3 9c6-6 12 12 18 6M3 9v4M21 15v-4',
  stick: 'M4 20 20 4',
  hoop: 'M12 8c6 0 9 2 9 4s-3 4-9 4-9-2-9-4 3-4 9-4z',
  step: 'M3 20h18v-6h-9V8H3z',
  target: 'M5 8h14l-2 12H7zM5 8c1-3 13-3 14 0',
  scarf: 'M6 4c6 4 6 9 0 15M11 4c8 5 8 10 2 16M6 19l7 1',
  balloon: 'M12 3a6 6.5 0 1 0 .01 0zM12 16v5',
  spoon: 'M12 21V11M12 3a3 4 0 1 0 .01 0z',
  book: 'M4 5h16v14H4zM8 5v14M11 9h6M11 12h6',
  cushion: 'M4 7c5 2 11 2 16 0-2 4-2 6 0 10-5-2-11-2-16 0 2-4 2-6 0-10z',
  bat: 'M12 3a5 6 0 1 0 .01 0zM12 15v6',
  'bean-bag': 'M6 9h12l2 10H4zM9 9l3-4 3 4',
  'tape-measure': 'M3 14h18v5H3zM6 14v2M9 14v3M12 14v2M15 14v3M18 14v2',
  cups: 'M7 5h10l-2 15H9zM7.5 9h9',
}
const anything = 'M4 8l8-4 8 4v9l-8 4-8-4zM4 8l8 4 8-4M12 12v9'
</script>

<template>
  <svg class="kit" width="34" height="34" viewBox="0 0 24 24" aria-hidden="true">
    <path :d="strokes[kit] ?? anything" />
  </svg>
</template>

<style scoped>
.kit {
  flex: none;
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.8;
  stroke-linecap: round;
  stroke-linejoin: round;
}
</style>
