<script setup lang="ts">
import type { Region } from '@idolon/contract'
import { type Fault, FAULTS } from '@idolon/core'
import { computed, ref } from 'vue'
import { Layer as VLayer, Rect as VRect, Stage as VStage, Text as VText } from 'vue-konva'

/** Where faults lie, as thin rectangles with their names over a picture; drawn with the pointer while a fault is being marked. */
const props = defineProps<{ regions: Region[]; width: number; height: number; marking: Fault | undefined; at: number | undefined }>()
const emit = defineEmits<{ drawn: [region: Region] }>()
/** Below this share of the picture a drag was a slip. */
const LEAST = 0.01
const from = ref<{ x: number; y: number }>()
const to = ref<{ x: number; y: number }>()

interface Pointed {
  target: { getStage: () => { getRelativePointerPosition: () => { x: number; y: number } | null } | null }
}
const share = (event: Pointed) => {
  const place = event.target.getStage()?.getRelativePointerPosition()
  const within = (value: number, size: number) => Math.min(1, Math.max(0, value / size))
  return place && { x: within(place.x, props.width), y: within(place.y, props.height) }
}
const drawing = computed(() => {
  const [a, b] = [from.value, to.value]
  return a && b && { x: Math.min(a.x, b.x), y: Math.min(a.y, b.y), width: Math.abs(a.x - b.x), height: Math.abs(a.y - b.y) }
})
function begin(event: Pointed): void {
  if (!props.marking) return
  from.value = to.value = share(event) ?? undefined
}
function go(event: Pointed): void {
  if (from.value) to.value = share(event) ?? to.value
}
function end(): void {
  const rectangle = drawing.value
  from.value = to.value = undefined
  if (props.marking && rectangle && rectangle.width > LEAST && rectangle.height > LEAST) emit('drawn', { fault: props.marking, ...rectangle })
}
const accent = getComputedStyle(document.documentElement).getPropertyValue('--accent') || '#9d1242'
const shown = computed(() =>
  [...props.regions, ...(props.marking && drawing.value ? [{ fault: props.marking, ...drawing.value }] : [])].map((region, i) => ({
    box: { x: region.x * props.width, y: region.y * props.height, width: region.width * props.width, height: region.height * props.height, stroke: '#ffffff', strokeWidth: props.at === i ? 4 : 3, listening: false },
    line: { x: region.x * props.width, y: region.y * props.height, width: region.width * props.width, height: region.height * props.height, stroke: accent, strokeWidth: props.at === i ? 2.5 : 1.5, listening: false },
    name: { x: region.x * props.width + 4, y: Math.max(2, region.y * props.height - 17), text: FAULTS[region.fault], fontSize: 13, fontFamily: 'Archivo Variable, sans-serif', fill: accent, stroke: '#ffffff', strokeWidth: 3, fillAfterStrokeEnabled: true, listening: false },
  })),
)
</script>

<template>
  <VStage :config="{ width, height }" :style="{ cursor: marking ? 'crosshair' : 'inherit' }" @mousedown="begin" @mousemove="go" @mouseup="end" @touchstart="begin" @touchmove="go" @touchend="end">
    <VLayer>
      <template v-for="(region, i) in shown" :key="i">
        <VRect :config="region.box" />
        <VRect :config="region.line" />
        <VText :config="region.name" />
      </template>
    </VLayer>
  </VStage>
</template>
