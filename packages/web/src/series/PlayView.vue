<script setup lang="ts">
import { beginnings, MOVES, sceneAt, transformOf } from '@idolon/core'
import { usePreferredReducedMotion, useRafFn } from '@vueuse/core'
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useSeries } from './use-series.ts'
import { pressed } from '../keys/key-map.ts'
import NumberField from '../shared/NumberField.vue'

/** The chosen proofs in their order, each for its seconds with its camera move and caption: for judging rhythm. */
const route = useRoute()
const id = computed(() => String(route.params['series']))
const open = useSeries(id)
const reduced = usePreferredReducedMotion()
const scenes = computed(() => (open.series.value?.scenes ?? []).map((scene, i) => ({ scene, number: i + 1, seconds: scene.body.motion.seconds })))
/** Width to height of the whole: that of its first chosen proof. */
const ratio = computed(() => {
  const picture = scenes.value.find(({ scene }) => scene.chosen?.picture)?.scene.chosen?.picture
  return picture ? Math.round((picture.width / picture.height) * 1000) / 1000 : 1.5
})
const starts = computed(() => beginnings(scenes.value))
const whole = computed(() => starts.value.at(-1) ?? 0)
const seconds = ref(0)
const playing = ref(false)
const SPEEDS = [0.5, 1, 2] as const
const speed = ref<(typeof SPEEDS)[number]>(1)
const moves = ref(true)
const now = computed(() => sceneAt(scenes.value, seconds.value))
const shown = computed(() => scenes.value[now.value.scene])

let last = 0
const { pause, resume } = useRafFn(
  ({ timestamp }) => {
    // The first frame after a pause counts nothing; nor does one that the browser held back.
    const passed = last ? Math.min(0.25, (timestamp - last) / 1000) : 0
    last = timestamp
    seconds.value = Math.min(whole.value, seconds.value + passed * speed.value)
    if (seconds.value >= whole.value) stop()
  },
  { immediate: false },
)
function start(): void {
  if (seconds.value >= whole.value) seconds.value = 0
  last = 0
  playing.value = true
  resume()
}
function stop(): void {
  playing.value = false
  pause()
}
const toggle = () => (playing.value ? stop() : start())
const to = (scene: number) => (seconds.value = starts.value[Math.min(Math.max(0, scene), scenes.value.length - 1)] ?? 0)
/** Where the picture stands now between the two ends of its camera move. */
const transform = computed(() => {
  const one = shown.value
  if (!one || !moves.value || reduced.value === 'reduce') return 'none'
  const [from, end] = MOVES[one.scene.body.motion.camera]
  const share = Math.min(1, now.value.into / one.seconds)
  const between = (a: number, b: number) => a + (b - a) * share
  return transformOf({ x: between(from.x, end.x), y: between(from.y, end.y), scale: between(from.scale, end.scale), turn: between(from.turn, end.turn) })
})
function onKey(event: KeyboardEvent): void {
  if (event.target instanceof HTMLElement && event.target.matches('input, select, textarea') && event.key !== 'Escape') return
  const command = pressed('played', event)
  if (command === 'pause' && !(event.target instanceof HTMLButtonElement)) {
    event.preventDefault()
    toggle()
  } else if (command === 'next') to(now.value.scene + 1)
  else if (command === 'previous') to(now.value.into > 1 ? now.value.scene : now.value.scene - 1)
  else if (command === 'start') seconds.value = 0
}
onMounted(() => window.addEventListener('keydown', onKey))
onUnmounted(() => window.removeEventListener('keydown', onKey))
// The next picture is fetched before it is needed.
watch(() => now.value.scene, (scene) => {
  const next = scenes.value[scene + 1]?.scene.chosen?.picture
  if (next) new Image().src = `/api/pictures/${next.sha256}`
})
const clock = (all: number) => `${Math.floor(all / 60)}:${String(Math.floor(all % 60)).padStart(2, '0')}`
const setSeconds = (value: number | undefined) => {
  const one = shown.value
  if (one && value !== undefined) void open.changeScene(one.scene.id, { body: { ...one.scene.body, motion: { ...one.scene.body.motion, seconds: value } } })
}
</script>

<template>
  <main class="page play">
    <p class="row-actions"><RouterLink :to="`/series/${id}`">{{ open.series.value?.name ?? 'Series' }}</RouterLink></p>
    <h1 class="visually-hidden">{{ open.series.value?.name }}, played</h1>
    <template v-if="shown">
      <figure :style="{ width: `min(100%, calc((100vh - 270px) * ${ratio}))` }">
        <div class="frame" :style="{ aspectRatio: String(ratio) }">
          <img v-if="shown.scene.chosen?.picture" :key="shown.scene.id" :src="`/api/pictures/${shown.scene.chosen.picture.sha256}`" :alt="shown.scene.body.beat" :style="{ transform }" />
          <p v-else class="none">{{ shown.scene.body.beat || 'A scene without words' }}<br /><span class="soft">no proof is chosen</span></p>
        </div>
        <figcaption>{{ shown.scene.body.caption || ' ' }}</figcaption>
      </figure>
      <div class="controls">
        <v-btn color="primary" variant="flat" @click="toggle">{{ playing ? 'Pause' : seconds > 0 && seconds < whole ? 'Go on' : 'Play' }}</v-btn>
        <v-btn :disabled="now.scene === 0" @click="to(now.scene - 1)">Previous scene</v-btn>
        <v-btn :disabled="now.scene === scenes.length - 1" @click="to(now.scene + 1)">Next scene</v-btn>
        <v-slider class="position" label="Where it is played" name="Where it is played" :min="0" :max="whole" :step="0.1" :model-value="seconds" :aria-valuetext="`scene ${shown.number}, ${clock(seconds)} of ${clock(whole)}`" @update:model-value="seconds = $event" />
        <span class="time">{{ clock(seconds) }} of {{ clock(whole) }}</span>
        <v-select v-model="speed" label="Speed" :items="SPEEDS.map((one) => ({ title: one === 1 ? 'as it is' : one < 1 ? 'half' : 'double', value: one }))" />
        <v-checkbox v-model="moves" label="camera moves" />
      </div>
      <div class="scene">
        <p><strong>Scene {{ shown.number }} of {{ scenes.length }}</strong> {{ shown.scene.body.beat }}<span v-if="shown.scene.stale" class="wants"> Its proof is stale.</span></p>
        <p class="soft">{{ shown.scene.body.motion.camera === 'still' ? 'The camera stands still' : `Camera: ${shown.scene.body.motion.camera}` }}{{ shown.scene.body.motion.subject ? `; ${shown.scene.body.motion.subject}` : '' }}{{ shown.scene.body.sound ? `; sound: ${shown.scene.body.sound}` : '' }}.</p>
        <NumberField label="Seconds" :min="0.5" :max="120" :value="shown.seconds" class="seconds" @set="setSeconds" />
      </div>
      <ol class="all" aria-label="Scenes">
        <li v-for="(one, i) in scenes" :key="one.scene.id"><v-btn variant="text" :aria-current="i === now.scene ? 'true' : undefined" @click="to(i)">{{ one.number }} {{ one.scene.body.beat || 'without words' }}</v-btn> <span class="soft">{{ clock(starts[i]!) }}</span></li>
      </ol>
    </template>
    <p v-else-if="open.series.value">There is no scene to play yet. <RouterLink :to="`/series/${id}`">Add one</RouterLink>.</p>
  </main>
</template>

<style scoped>
.play {
  display: grid;
  gap: 10px;
  justify-items: center;
}
.play > p:first-child {
  justify-self: start;
}
figure {
  margin: 0;
}
.frame {
  overflow: hidden;
  background: #0d0e10;
}
.frame img {
  width: 100%;
  height: 100%;
  object-fit: cover;
  will-change: transform;
}
.none {
  display: grid;
  place-content: center;
  height: 100%;
  text-align: center;
  color: #e8eaec;
}
.none .soft {
  color: #adb5bc;
}
figcaption {
  min-height: 30px;
  padding-top: 8px;
  font-family: var(--serif);
  font-size: 18px;
  text-align: center;
}
.controls {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 14px;
  align-items: center;
  justify-content: center;
}
.time {
  font-family: var(--mono);
  font-size: 13px;
}
.scene {
  display: grid;
  gap: 8px;
  justify-items: center;
}
.seconds {
  width: 110px;
}
.wants {
  color: var(--accent);
}
.all {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  justify-content: center;
  font-size: 13px;
}
.all [aria-current] {
  font-weight: 600;
}
.position {
  flex: 1 1 160px;
}
</style>
