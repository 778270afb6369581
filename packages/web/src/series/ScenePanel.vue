<script setup lang="ts">
import { listProofs, type Proof, type Scene } from '@idolon/contract'
import { CAMERA_MOVES, type CameraMove, type SceneBody } from '@idolon/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import NumberField from '../shared/NumberField.vue'
import SavedText from '../shared/SavedText.vue'
import ComposedText from './ComposedText.vue'
import PartChoice from './PartChoice.vue'
import type { OpenSeries } from './use-series.ts'
import FoldOut from '../shared/FoldOut.vue'
import ChoiceMenu from '../shared/ChoiceMenu.vue'
import { mdiArrowDown, mdiArrowUp, mdiCallMerge, mdiContentCut, mdiContentDuplicate, mdiDeleteOutline } from '@mdi/js'
import { keysOf } from '../keys/key-map.ts'
import type { Act } from '../shared/act.ts'
import ActsMenu from '../shared/ActsMenu.vue'

/** One scene: what happens, who is there, where and when, the text that comes of it, its proofs, and how it moves and sounds. */
const props = defineProps<{ open: OpenSeries; scene: Scene; number: number }>()
const emit = defineEmits<{ story: []; moved: [] }>()
const task = useTask()
const body = computed(() => props.scene.body)
const set = (more: Partial<SceneBody>) => props.open.changeScene(props.scene.id, { body: { ...body.value, ...more } })
const nameOf = (part: string) => props.open.partOf(part)?.body.name ?? 'a part in the bin'

const absent = computed(() => props.open.characters.value.filter(({ id }) => !body.value.cast.some((use) => use.part === id)))
function addCast(part: string): void {
  void set({ cast: [...body.value.cast, { part, variants: [] }] })
}
const setVariants = (part: string, variants: string[]) => set({ cast: body.value.cast.map((use) => (use.part === part ? { ...use, variants } : use)) })
const placePart = computed(() => (body.value.place ? props.open.partOf(body.value.place.part) : undefined))
const setPlace = (part: string) => set({ place: part ? { part, variants: [] } : null })

const proofs = shallowRef<Proof[]>([])
const readProofs = () => task(async () => (proofs.value = (await call(listProofs, { query: { prompt: props.scene.promptId, limit: 24 } })).proofs.filter(({ picture }) => picture)))
watch(() => [props.scene.promptId, props.scene.proofs, props.scene.coming], () => void readProofs(), { immediate: true })

const passage = computed(() => {
  const range = props.scene.story
  return range ? (props.open.series.value?.story.slice(range.start, range.end) ?? '') : ''
})
const rest = ref(false)
const acts = computed((): Act[] => [
  { name: 'Split …', says: props.scene.story ? 'At a sentence of its passage' : 'It tells no passage of the story', icon: mdiContentCut, disabled: !props.scene.story, run: () => emit('story') },
  { name: 'Join with the next', icon: mdiCallMerge, disabled: last.value, run: () => void props.open.join(props.scene.id) },
  { name: 'Duplicate', icon: mdiContentDuplicate, run: () => void props.open.duplicate(props.scene.id) },
  { name: 'Delete this scene', says: 'It goes to the bin, with its prompt and proofs', icon: mdiDeleteOutline, last: true, run: () => void props.open.remove(props.scene) },
])
const last = computed(() => props.number === props.open.series.value?.scenes.length)
</script>

<template>
  <section class="scene" :aria-label="`Scene ${number}`">
    <div class="row-actions acts">
      <strong>Scene {{ number }}</strong>
      <v-btn v-tooltip="`Move it earlier (${keysOf('scene', 'earlier')})`" variant="text" size="small" :icon="mdiArrowUp" aria-label="Earlier" :disabled="number === 1" @click="open.move(scene.id, -1)" />
      <v-btn v-tooltip="`Move it later (${keysOf('scene', 'later')})`" variant="text" size="small" :icon="mdiArrowDown" aria-label="Later" :disabled="last" @click="open.move(scene.id, 1)" />
      <v-btn :to="`/desk/${scene.promptId}`">Open on the Desk</v-btn>
      <ActsMenu label="This scene" :acts="acts" />
    </div>
    <p v-if="scene.touched" class="told" role="status">Its passage of the story was rewritten. <v-btn variant="text" @click="open.changeScene(scene.id, { seen: true })">It still holds</v-btn></p>
    <p v-if="scene.apart" class="told" role="status">You edited this by hand, so the change was not applied. <v-btn variant="text" @click="open.changeScene(scene.id, { anew: true })">Compose it again</v-btn> <span class="soft">What was written stays in the history of its prompt.</span></p>

    <SavedText class="wide" :value="body.beat" label="What happens" :maxlength="300" @save="set({ beat: $event })" />
    <SavedText class="serif" multiline :value="body.words" label="What the picture shows" :maxlength="2000" @save="set({ words: $event.replace(/\s*\n\s*/g, ' ') })" />
    <div class="labelled">
      <span>Who is there</span>
      <ul class="cast">
        <li v-for="use in body.cast" :key="use.part">
          <RouterLink v-if="open.partOf(use.part)" :to="`/series/${open.series.value!.id}/parts/${use.part}`">{{ nameOf(use.part) }}</RouterLink><span v-else>{{ nameOf(use.part) }}</span>
          <PartChoice v-if="open.partOf(use.part)" :part="open.partOf(use.part)!" :use="use" @change="setVariants(use.part, $event)" />
          <v-btn variant="text" :aria-label="`Remove ${nameOf(use.part)}`" @click="set({ cast: body.cast.filter((one) => one.part !== use.part) })">Remove</v-btn>
        </li>
      </ul>
      <ChoiceMenu v-if="absent.length" label="Add somebody" :items="absent.map((part) => ({ title: part.body.name, value: part.id }))" @choose="addCast" />
    </div>
    <div class="two">
      <v-select label="Where" :model-value="body.place?.part ?? ''" :items="[{ title: 'in words', value: '' }, ...open.places.value.map((part) => ({ title: part.body.name, value: part.id }))]" @update:model-value="setPlace($event)" />
      <SavedText v-if="!body.place" class="wide" :value="body.where" label="Where, in words" :maxlength="300" @save="set({ where: $event })" />
      <PartChoice v-else-if="placePart?.body.variants.length" :part="placePart" :use="body.place" @change="set({ place: { part: body.place!.part, variants: $event } })" />
      <SavedText class="wide" :value="body.moment" label="When" :maxlength="200" @save="set({ moment: $event })" />
      <SavedText class="wide" :value="body.framing" label="Framing" :maxlength="300" placeholder="wide shot, low angle" @save="set({ framing: $event })" />
    </div>

    <div class="text">
      <h2>Its text</h2>
      <ComposedText :scene="scene" :name-of="nameOf" />
      <ul v-if="scene.overrides.length || scene.left.length" class="notes">
        <li v-for="(one, i) in scene.overrides" :key="`o${i}`"><strong>Override:</strong> {{ nameOf(one.part) }} says “{{ one.given }}”; here {{ one.text === null ? 'it is not said' : `it says “${one.text}”` }}.</li>
        <li v-for="(one, i) in scene.left" :key="`l${i}`" class="soft">“{{ one.text }}” of {{ nameOf(one.part) }} is left out: {{ one.reason }}</li>
      </ul>
    </div>

    <div>
      <h2>Proofs <span class="soft">{{ scene.chosen ? (scene.stale ? 'the chosen one was made from other words' : 'one is chosen') : 'none is chosen' }}</span></h2>
      <ul v-if="proofs.length" class="proofs">
        <li v-for="proof in proofs" :key="proof.id">
          <v-btn v-tooltip="`Version ${proof.version}, ${proof.engine.name}${proof.verdict ? `, ${proof.verdict}` : ''}`" variant="text" :aria-pressed="scene.chosen?.id === proof.id" class="lines" @click="open.changeScene(scene.id, { chosen: scene.chosen?.id === proof.id ? null : proof.id })"><img :src="`/api/pictures/${proof.picture!.sha256}/thumbnail`" :alt="`Version ${proof.version}, ${proof.engine.name}`" loading="lazy" /><span>{{ scene.chosen?.id === proof.id ? 'chosen' : 'choose' }}</span></v-btn>
        </li>
      </ul>
      <p v-else class="soft">None yet. <RouterLink :to="`/desk/${scene.promptId}`">Try it on the Desk</RouterLink>.</p>
    </div>

    <div class="two">
      <v-select label="Camera" :model-value="body.motion.camera" :items="CAMERA_MOVES" @update:model-value="set({ motion: { ...body.motion, camera: $event as CameraMove } })" />
      <NumberField label="Seconds" :min="0.5" :max="120" :value="body.motion.seconds" @set="$event !== undefined && set({ motion: { ...body.motion, seconds: $event } })" />
      <SavedText class="whole" :value="body.motion.subject" label="What moves" :maxlength="300" placeholder="she lifts the lantern" @save="set({ motion: { ...body.motion, subject: $event } })" />
      <SavedText class="whole" multiline :value="body.caption" label="Caption" :maxlength="1000" @save="set({ caption: $event.replace(/\s*\n\s*/g, ' ') })" />
    </div>
    <FoldOut :model-value="rest || !!(body.sound || body.note)" title="Sound, notes and its passage" @update:model-value="rest = $event">
      <SavedText class="wide" :value="body.sound" label="Sound" :maxlength="500" @save="set({ sound: $event })" />
      <SavedText class="wide" multiline :value="body.note" label="Notes" :maxlength="4000" @save="set({ note: $event })" />
      <p v-if="passage" class="passage">{{ passage }}</p>
    </FoldOut>
  </section>
</template>

<style scoped>
.scene {
  display: grid;
  gap: 12px;
}
.acts {
  gap: 4px 12px;
  font-size: 13px;
}
.told {
  padding-left: 10px;
  border-left: 2px solid var(--accent);
}
.wide {
  width: 100%;
}
.serif {
  font-family: var(--serif);
  font-size: 15.5px;
}
.cast li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  padding: 3px 0;
}
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 12px;
  align-items: start;
}
.whole {
  grid-column: 1 / -1;
}
h2 .soft {
  margin-left: 8px;
  font-weight: 400;
  font-size: 13px;
}
.text {
  display: grid;
  gap: 6px;
  padding: 10px 12px;
  background: var(--sheet);
  border: 1px solid var(--rule);
}
.notes {
  display: grid;
  gap: 3px;
  font-size: 13px;
}
.proofs {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 6px;
}
.proofs button {
  display: grid;
  padding: 2px;
  border: 1px solid transparent;
  background: none;
  font-size: 12px;
  cursor: pointer;
}
.proofs button[aria-pressed='true'] {
  border-color: var(--kept);
  color: var(--kept);
  font-weight: 600;
}
.proofs img {
  width: 84px;
  height: 60px;
  object-fit: cover;
  background: var(--wash);
}
.passage {
  margin-top: 8px;
  font-family: var(--serif);
  white-space: pre-line;
}
</style>
