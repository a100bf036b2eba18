<script setup lang="ts">
import { mdiContentDuplicate, mdiFlipHorizontal, mdiTrashCanOutline } from '@mdi/js'
import { computed, ref } from 'vue'
import { useI18n } from 'vue-i18n'
import {
  angleOf,
  angleTo,
  drawFigure,
  handles,
  keyMoments,
  mirrorPose,
  pose as poseAt,
  turnJoint,
  type Figure,
  type Handle,
  type Pose,
} from '@esfuerzo/core/figure'
import FigureDrawing from '../shared/figure/FigureDrawing.vue'
import MoveFigure from '../shared/figure/MoveFigure.vue'

/** Draws a figure: its poses one by one, by their joints. Only changes are emitted. */
const figure = defineModel<Figure>({ required: true })
const { t } = useI18n()
const at = ref(0)
const said = ref('')
const canvas = ref<SVGSVGElement>()
const held = ref<Handle>()

const moment = computed(() => keyMoments(figure.value)[at.value] ?? 0)
const joints = computed(() => poseAt(figure.value, moment.value))
const drawing = computed(() => drawFigure(figure.value, moment.value))
const now = computed(() => figure.value.poses[at.value] ?? figure.value.poses[0]!)
/** The nearer side's joints are on top, if two overlap. */
const names = (Object.keys(handles) as Handle[]).sort((a, b) => Number(a.endsWith('R')) - Number(b.endsWith('R')))

const setPoses = (poses: Pose[]) => (figure.value = { ...figure.value, poses })
const setPose = (change: Partial<Pose>) =>
  setPoses(figure.value.poses.map((p, i) => (i === at.value ? { ...p, ...change } : p)))

function turn(handle: Handle, angle: number) {
  const { pose, clamped } = turnJoint(now.value, figure.value.view, handle, angle)
  said.value = clamped.length ? t('figure.clamped', { joint: t(`figure.joint.${clamped[0]!.joint}`) }) : ''
  setPoses(figure.value.poses.map((p, i) => (i === at.value ? pose : p)))
}
function onMove(event: PointerEvent) {
  if (!held.value || !canvas.value) return
  const box = canvas.value.getBoundingClientRect()
  const to = {
    x: ((event.clientX - box.left) / box.width) * 1.08 - 0.04,
    y: ((event.clientY - box.top) / box.height) * 1.08 - 0.04,
  }
  turn(held.value, angleTo(joints.value[handles[held.value]], to))
}
function onHold(handle: Handle, event: PointerEvent) {
  held.value = handle
  canvas.value?.setPointerCapture(event.pointerId)
}
function onKey(handle: Handle, event: KeyboardEvent) {
  const step = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key]
  if (!step) return
  event.preventDefault()
  turn(handle, Math.round(angleOf(now.value, handle)) + step * (event.shiftKey ? 10 : 2))
}
function onDuplicate() {
  const { poses } = figure.value
  if (poses.length >= 6) return
  setPoses([...poses.slice(0, at.value + 1), { ...now.value }, ...poses.slice(at.value + 1)])
  at.value++
}
function onRemove() {
  const { poses } = figure.value
  if (poses.length < 2) return
  setPoses(poses.filter((_, i) => i !== at.value))
  at.value = Math.max(0, at.value - 1)
}
const onMirror = () =>
  setPoses(figure.value.poses.map((p, i) => (i === at.value ? mirrorPose(p, figure.value.view) : p)))
/** A single pose, for its thumbnail. */
const alone = (i: number): Figure => ({ ...figure.value, mirrored: false, poses: [figure.value.poses[i]!] })
</script>

<template>
  <div class="figure-editor">
    <div class="big">
      <svg
        ref="canvas"
        viewBox="-4 -4 108 108"
        role="group"
        :aria-label="t('figure.canvas')"
        @pointermove="onMove"
        @pointerup="held = undefined"
        @pointercancel="held = undefined"
      >
        <FigureDrawing :drawing="drawing" />
        <circle
          v-for="name in names"
          :key="name"
          class="handle"
          :cx="joints[name].x * 100"
          :cy="joints[name].y * 100"
          r="2.6"
          role="slider"
          tabindex="0"
          :aria-label="t(`figure.handle.${name}`)"
          aria-valuemin="-360"
          aria-valuemax="360"
          :aria-valuenow="Math.round(angleOf(now, name))"
          @pointerdown.prevent="onHold(name, $event)"
          @keydown="onKey(name, $event)"
        />
      </svg>
      <p class="quiet" aria-live="polite">{{ said || t('figure.hint') }}</p>
    </div>
    <div class="side">
      <div class="poses" role="group" :aria-label="t('figure.poses')">
        <button
          v-for="(_, i) in figure.poses"
          :key="i"
          type="button"
          :aria-pressed="i === at"
          :aria-label="t('figure.pose', { n: i + 1 })"
          @click="at = i"
        >
          <MoveFigure :figure="alone(i)" :size="62" />
        </button>
      </div>
      <div class="tools">
        <v-btn :prepend-icon="mdiContentDuplicate" :disabled="figure.poses.length >= 6" @click="onDuplicate">{{
          t('figure.add')
        }}</v-btn>
        <v-btn :prepend-icon="mdiFlipHorizontal" @click="onMirror">{{ t('figure.mirror') }}</v-btn>
        <v-btn
          :icon="mdiTrashCanOutline"
          :disabled="figure.poses.length < 2"
          :aria-label="t('figure.remove')"
          :title="t('figure.remove')"
          @click="onRemove"
        />
      </div>
      <v-select
        :model-value="figure.view"
        :items="[
          { value: 'side', title: t('figure.side') },
          { value: 'front', title: t('figure.front') },
        ]"
        :label="t('figure.view')"
        @update:model-value="figure = { ...figure, view: $event }"
      />
      <label class="range">
        {{ t('figure.hold') }}
        <input
          type="range"
          min="0"
          max="3"
          step="0.05"
          :value="now.hold ?? 0.15"
          @input="setPose({ hold: Number(($event.target as HTMLInputElement).value) })"
        />
      </label>
      <label class="range">
        {{ t('figure.lift') }}
        <input
          type="range"
          min="0"
          max="0.3"
          step="0.01"
          :value="now.lift ?? 0"
          @input="setPose({ lift: Number(($event.target as HTMLInputElement).value) })"
        />
      </label>
      <v-switch
        :model-value="Boolean(figure.mirrored)"
        :label="t('figure.mirrored')"
        @update:model-value="figure = { ...figure, mirrored: Boolean($event), reps: $event ? 2 : 1 }"
      />
      <div class="preview">
        <MoveFigure :figure="figure" :size="130" :cycle="2.4 * (figure.mirrored ? 1.6 : 1)" />
        <span class="quiet">{{ t('figure.preview') }}</span>
      </div>
    </div>
  </div>
</template>

<style scoped>
.figure-editor {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 270px;
  gap: 20px;
}
.big svg {
  width: 100%;
  background: var(--floor);
  border: 1px solid var(--line);
  border-radius: var(--corner);
  touch-action: none;
  --figure-ground: var(--floor);
}
.big p {
  margin: 6px 0 0;
}
.handle {
  fill: var(--card);
  stroke: var(--action);
  stroke-width: 1.2;
  cursor: grab;
}
.handle:focus-visible,
.handle:hover {
  outline: none;
  fill: var(--action);
}
.side {
  display: grid;
  gap: 10px;
  align-content: start;
}
.poses {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.poses button {
  padding: 2px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--card);
  cursor: pointer;
}
.poses [aria-pressed='true'] {
  border: 2px solid var(--action);
  padding: 1px;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.range {
  display: grid;
  grid-template-columns: 90px minmax(0, 1fr);
  align-items: center;
}
.range input {
  accent-color: var(--action);
}
.preview {
  display: flex;
  align-items: center;
  gap: 10px;
}
@media (max-width: 800px) {
  .figure-editor {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
