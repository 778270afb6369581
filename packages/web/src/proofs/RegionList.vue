<script setup lang="ts">
import type { Region } from '@idolon/contract'
import { type Fault, FAULTS } from '@idolon/core'
import { nextTick, useTemplateRef } from 'vue'

/** Where faults lie, in words and by keys: arrows move a rectangle, with Shift they size it, Delete takes it away. */
const props = defineProps<{ regions: Region[]; faults: readonly Fault[]; marking: Fault | undefined }>()
const emit = defineEmits<{ change: [regions: Region[]]; mark: [fault: Fault | undefined]; at: [place: number | undefined] }>()
const rows = useTemplateRef<HTMLElement[]>('rows')
const STEP = 0.02
const LEAST = 0.04

const side = (middle: number, [low, high]: [string, string]) => (middle < 0.38 ? low : middle > 0.62 ? high : '')
const placeOf = ({ x, y, width, height }: Region) => [side(y + height / 2, ['upper', 'lower']), side(x + width / 2, ['left', 'right'])].filter(Boolean).join(' ') || 'middle'
const within = (value: number, most: number) => Math.min(most, Math.max(0, value))

async function add(fault: Fault): Promise<void> {
  emit('change', [...props.regions, { fault, x: 0.35, y: 0.35, width: 0.3, height: 0.3 }])
  await nextTick()
  rows.value?.at(-1)?.focus()
}
function onKey(event: KeyboardEvent, i: number): void {
  const region = props.regions[i]!
  const moves: Record<string, [number, number]> = { ArrowLeft: [-STEP, 0], ArrowRight: [STEP, 0], ArrowUp: [0, -STEP], ArrowDown: [0, STEP] }
  const move = moves[event.key]
  event.stopPropagation()
  if (event.key === 'Delete' || event.key === 'Backspace') emit('change', props.regions.toSpliced(i, 1))
  else if (move && event.shiftKey) emit('change', props.regions.with(i, { ...region, width: Math.max(LEAST, within(region.width + move[0], 1 - region.x)), height: Math.max(LEAST, within(region.height + move[1], 1 - region.y)) }))
  else if (move) emit('change', props.regions.with(i, { ...region, x: within(region.x + move[0], 1 - region.width), y: within(region.y + move[1], 1 - region.height) }))
  else return
  event.preventDefault()
}
defineExpose({ add })
</script>

<template>
  <div v-if="faults.length" class="where">
    <p>
      <span class="soft">Mark where:</span>
      <v-btn v-for="fault in faults" :key="fault" v-tooltip="'Draw a rectangle on the picture; W puts one in the middle'" variant="text" :class="{ strong: marking === fault }" :aria-pressed="marking === fault" @click="emit('mark', marking === fault ? undefined : fault)">{{ FAULTS[fault] }}</v-btn>
    </p>
    <ul v-if="regions.length" aria-label="Marked places">
      <li v-for="(region, i) in regions" :key="i">
        <span ref="rows" class="row" tabindex="0" role="group" :aria-label="`${FAULTS[region.fault]}, ${placeOf(region)}; arrows move it, Shift and arrows size it`" @keydown="onKey($event, i)" @focus="emit('at', i)" @blur="emit('at', undefined)">{{ FAULTS[region.fault] }}, {{ placeOf(region) }}</span>
        <v-btn variant="text" @click="emit('change', regions.toSpliced(i, 1))">Remove</v-btn>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.where {
  display: grid;
  gap: 4px;
}
.where p {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 12px;
}
li {
  display: flex;
  gap: 12px;
  justify-content: space-between;
}
</style>
