<script setup lang="ts">
import type { Scene } from '@idolon/contract'
import { nextTick, ref, shallowRef, watch } from 'vue'
import { VueDraggable } from 'vue-draggable-plus'
import { pressed } from '../keys/key-map.ts'
import { counted } from '../shared/said.ts'
import type { OpenSeries } from './use-series.ts'

/** The scenes in a row, each a line of text with its picture at one end; moved by dragging, keys or the scene’s own actions. */
const props = defineProps<{ open: OpenSeries; chosen: string | undefined }>()
const emit = defineEmits<{ choose: [scene: string] }>()
const rows = shallowRef<Scene[]>([])
const list = ref<InstanceType<typeof VueDraggable>>()
watch(() => props.open.series.value?.scenes, (scenes) => (rows.value = [...(scenes ?? [])]), { immediate: true })

const nameOf = (part: string) => props.open.partOf(part)?.body.name ?? 'in the bin'
const castOf = ({ body }: Scene) => body.cast.map(({ part }) => nameOf(part)).join(', ')
const whereOf = ({ body }: Scene) => [body.place ? nameOf(body.place.part) : body.where, body.moment].filter(Boolean).join(', ')
function stateOf({ behind, stale, touched, apart, overrides, coming, chosen, newest, proofs }: Scene): { text: string; wants: boolean }[] {
  return [
    ...(coming ? [{ text: `${counted(coming, 'proof')} to come`, wants: false }] : []),
    ...(behind.length ? [{ text: `${behind.map(({ part }) => nameOf(part)).join(', ')} changed since`, wants: true }] : []),
    ...(stale ? [{ text: 'chosen proof is stale', wants: true }] : []),
    ...(touched ? [{ text: 'its passage was rewritten', wants: true }] : []),
    ...(apart ? [{ text: 'a change waits', wants: true }] : []),
    ...(chosen && newest && newest.storedAt! > chosen.storedAt! ? [{ text: 'a newer proof', wants: false }] : []),
    ...(overrides.length ? [{ text: counted(overrides.length, 'override'), wants: false }] : []),
    ...(!chosen ? [{ text: proofs ? `${counted(proofs, 'proof')}, none chosen` : 'not tried yet', wants: false }] : []),
  ]
}
const focusOn = (place: number) => nextTick(() => document.querySelectorAll<HTMLElement>('.scene-rows .open')[Math.max(0, place)]?.focus())
async function onKey(event: KeyboardEvent, scene: Scene, place: number): Promise<void> {
  const command = pressed('scene', event)
  if (!command) return
  event.preventDefault()
  const by = command === 'previous' || command === 'earlier' ? -1 : 1
  if (command === 'earlier' || command === 'later') {
    await props.open.move(scene.id, by)
    await focusOn(props.open.placeOf(scene.id))
  } else if (command === 'previous' || command === 'next') {
    const next = rows.value[place + by]
    if (!next) return
    emit('choose', next.id)
    await focusOn(place + by)
  } else if (command === 'remove') {
    await props.open.remove(scene)
    await focusOn(Math.min(place, rows.value.length - 1))
  } else if (command === 'join') await props.open.join(scene.id)
  else {
    const copy = await props.open.duplicate(scene.id)
    if (!copy) return
    emit('choose', copy)
    await focusOn(place + 1)
  }
}
const dropped = () => props.open.order(rows.value.map(({ id }) => id))
</script>

<template>
  <VueDraggable ref="list" v-model="rows" tag="ol" class="scene-rows" handle=".number" :animation="120" @end="dropped">
    <li v-for="(scene, i) in rows" :key="scene.id" :class="{ chosen: scene.id === chosen }">
      <span class="number" title="Drag to move it; Ctrl and an arrow key do the same" aria-hidden="true">{{ i + 1 }}</span>
      <v-btn variant="text" :aria-current="scene.id === chosen ? 'true' : undefined" class="open lines" @click="emit('choose', scene.id)" @keydown="onKey($event, scene, i)"><span class="visually-hidden">Scene {{ i + 1 }}: </span><span class="beat">{{ scene.body.beat || 'A scene without words yet' }}</span><span class="facts soft"><span v-if="castOf(scene)">{{ castOf(scene) }}</span><span v-if="whereOf(scene)">{{ whereOf(scene) }}</span></span><span class="facts"><span v-for="state in stateOf(scene)" :key="state.text" :class="state.wants ? 'wants' : 'soft'">{{ state.text }}</span></span></v-btn>
      <img v-if="scene.chosen?.picture" :src="`/api/pictures/${scene.chosen.picture.sha256}/thumbnail`" :alt="`Chosen for scene ${i + 1}`" loading="lazy" decoding="async" draggable="false" :class="{ stale: scene.stale }" />
      <span v-else class="none" />
    </li>
  </VueDraggable>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr) 108px;
  gap: 10px;
  align-items: stretch;
  border-top: 1px solid var(--rule);
  border-left: 2px solid transparent;
}
li.chosen {
  background: var(--wash);
  border-left-color: var(--accent);
}
.number {
  padding: 10px 0 0 8px;
  font-family: var(--mono);
  font-size: 13px;
  color: var(--soft);
  cursor: grab;
  touch-action: none;
}
.open {
  display: grid;
  gap: 1px;
  align-content: start;
  padding: 8px 0 9px;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}
.beat {
  font-family: var(--serif);
  font-size: 16.5px;
  line-height: 1.35;
}
.facts {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  font-size: 12.5px;
}
.wants {
  color: var(--accent);
}
img,
.none {
  width: 108px;
  height: 72px;
  margin: 8px 0;
  object-fit: cover;
  background: var(--wash);
}
img.stale {
  outline: 2px dashed var(--accent);
  outline-offset: -2px;
}
li.chosen .none {
  background: var(--paper);
}
</style>
