<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import type { Evidence } from './evidence.ts'
import { isMap, paintMap } from './evidence-map.ts'

/** A picture with what bears a fact out drawn over it: one thin line, and its name beside it. */
const props = defineProps<{ picture: { sha256: string; width?: number; height?: number }; name: string; evidence: Evidence | undefined; hint?: string }>()
const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
const loaded = ref(false)
watch(() => props.picture.sha256, () => (loaded.value = false))

/** The picture made small by the server, decoded beside the page, which is not to stand still for it. */
let small: { sha256: string; bitmap: Promise<ImageBitmap> } | undefined
const boxes = computed(() => (props.evidence?.kind === 'boxes' ? props.evidence.boxes : []))
const percent = (share: number) => `${share * 100}%`
const map = computed(() => (isMap(props.evidence) ? props.evidence : undefined))

async function draw(): Promise<void> {
  const [sheet, evidence, { sha256 }] = [canvas.value, map.value, props.picture]
  if (!sheet || !evidence || !loaded.value) return
  if (small?.sha256 !== sha256) small = { sha256, bitmap: fetch(`/api/pictures/${sha256}/thumbnail`).then((response) => response.blob()).then(createImageBitmap) }
  const bitmap = await small.bitmap
  if (evidence !== map.value) return
  const { width, height } = bitmap
  sheet.width = width
  sheet.height = height
  const context = sheet.getContext('2d', { willReadFrequently: true })
  if (!context) return
  context.drawImage(bitmap, 0, 0)
  const pixels = context.getImageData(0, 0, width, height)
  paintMap(pixels.data, width, height, evidence)
  context.putImageData(pixels, 0, 0)
}
watch([() => props.evidence, loaded], () => void nextTick(draw).catch(() => undefined), { immediate: true })
</script>

<template>
  <div class="reference">
    <div class="frame">
      <img :src="`/api/pictures/${props.picture.sha256}/view`" :alt="name" :width="props.picture.width" :height="props.picture.height" @load="loaded = true" />
      <canvas v-show="map" ref="canvas" aria-hidden="true"></canvas>
      <template v-if="evidence">
        <div v-for="({ box, name: said }, i) in boxes" :key="i" class="box" :style="{ left: percent(box[0]!), top: percent(box[1]!), width: percent(box[2]! - box[0]!), height: percent(box[3]! - box[1]!) }">
          <span v-if="said" :class="{ inside: box[1]! < 0.06 }">{{ said }}</span>
        </div>
        <div v-if="evidence.kind === 'line'" class="line" :style="{ top: percent(evidence.y), transform: `rotate(${evidence.tilt}deg)` }"></div>
        <div v-if="evidence.kind === 'point'" class="point" :style="{ left: percent(evidence.x), top: percent(evidence.y) }"></div>
        <div v-if="evidence.kind === 'fold'" class="line fold"></div>
        <div v-if="evidence.kind === 'from'" class="from" :style="{ transform: `rotate(${evidence.degrees}deg)` }"></div>
        <template v-if="evidence.kind === 'thirds'">
          <div v-for="n in 2" :key="n" class="line" :style="{ top: percent(n / 3) }"></div>
          <div v-for="n in 2" :key="`down ${n}`" class="line fold" :style="{ left: percent(n / 3) }"></div>
          <div class="point" :style="{ left: percent(evidence.x), top: percent(evidence.y) }"></div>
        </template>
      </template>
    </div>
    <p class="soft says" role="status">
      <template v-if="evidence && evidence.kind !== 'boxes'">{{ evidence.name }}</template>
      <template v-else-if="evidence">{{ boxes.length ? '' : 'nothing was found' }}</template>
      <template v-else>{{ hint }}</template>
    </p>
  </div>
</template>

<style scoped>
.reference {
  display: grid;
  gap: 6px;
  justify-items: start;
}
.frame {
  position: relative;
  overflow: hidden;
  line-height: 0;
  border: 1px solid var(--rule);
}
img {
  display: block;
  max-width: 100%;
  width: auto;
  height: auto;
  max-height: 62vh;
}
canvas {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.box,
.line,
.point {
  position: absolute;
  pointer-events: none;
}
.box {
  border: 1px solid #fff;
  outline: 1px solid #9d1242;
}
.box span {
  position: absolute;
  left: -1px;
  bottom: 100%;
  padding: 0 4px;
  background: #9d1242;
  color: #fff;
  font-size: 11.5px;
  line-height: 1.5;
  white-space: nowrap;
}
.from {
  position: absolute;
  left: 50%;
  top: 6%;
  height: 44%;
  border-left: 1px solid #fff;
  outline: 1px solid #9d1242;
  transform-origin: 50% 100%;
  pointer-events: none;
}
.from::before {
  content: '';
  position: absolute;
  left: -6px;
  top: -1px;
  width: 11px;
  height: 11px;
  border-radius: 50%;
  background: #fff;
  border: 1px solid #9d1242;
}
.box span.inside {
  bottom: auto;
  top: 0;
}
.line {
  left: -5%;
  width: 110%;
  border-top: 1px solid #fff;
  outline: 1px solid #9d1242;
}
.line.fold {
  left: 50%;
  top: 0;
  width: 0;
  height: 100%;
  border-top: 0;
  border-left: 1px solid #fff;
}
.point {
  width: 0;
  height: 0;
}
.point::before,
.point::after {
  content: '';
  position: absolute;
  background: #9d1242;
  box-shadow: 0 0 0 1px #fff;
}
.point::before {
  left: -18px;
  top: 0;
  width: 37px;
  height: 1px;
}
.point::after {
  left: 0;
  top: -18px;
  width: 1px;
  height: 37px;
}
.says {
  min-height: 1.45em;
  font-size: 12.5px;
}
</style>
