<script setup lang="ts">
import { listProofs, type Proof, type Scene } from '@idolon/contract'
import { CAMERA_MOVES, type CameraMove, type SceneBody } from '@idolon/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import SavedText from '../shared/SavedText.vue'
import ComposedText from './ComposedText.vue'
import PartChoice from './PartChoice.vue'
import type { OpenSeries } from './use-series.ts'

/** One scene: what happens, who is there, where and when, the text that comes of it, its proofs, and how it moves and sounds. */
const props = defineProps<{ open: OpenSeries; scene: Scene; number: number }>()
const emit = defineEmits<{ story: []; moved: [] }>()
const task = useTask()
const body = computed(() => props.scene.body)
const set = (more: Partial<SceneBody>) => props.open.changeScene(props.scene.id, { body: { ...body.value, ...more } })
const nameOf = (part: string) => props.open.partOf(part)?.body.name ?? 'a part in the bin'

const absent = computed(() => props.open.characters.value.filter(({ id }) => !body.value.cast.some((use) => use.part === id)))
function addCast(select: HTMLSelectElement): void {
  const part = select.value
  select.value = ''
  if (part) void set({ cast: [...body.value.cast, { part, variants: [] }] })
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
const last = computed(() => props.number === props.open.series.value?.scenes.length)
</script>

<template>
  <section class="scene" :aria-label="`Scene ${number}`">
    <p class="row-actions acts">
      <strong>Scene {{ number }}</strong>
      <button class="plain" :disabled="number === 1" @click="open.move(scene.id, -1)">Earlier</button>
      <button class="plain" :disabled="last" @click="open.move(scene.id, 1)">Later</button>
      <button class="plain" :disabled="!scene.story" :title="scene.story ? '' : 'It tells no passage of the story'" @click="emit('story')">Split …</button>
      <button class="plain" :disabled="last" @click="open.join(scene.id)">Join with the next</button>
      <button class="plain" @click="open.duplicate(scene.id)">Duplicate</button>
      <button class="plain" @click="open.remove(scene)">Delete</button>
    </p>
    <p v-if="scene.touched" class="told" role="status">Its passage of the story was rewritten. <button class="plain" @click="open.changeScene(scene.id, { seen: true })">It still holds</button></p>
    <p v-if="scene.apart" class="told" role="status">Its text was written by hand where this change would change it. <button class="plain" @click="open.changeScene(scene.id, { anew: true })">Compose it anew</button> <span class="soft">What was written stays in the history of its prompt.</span></p>

    <label class="labelled"><span>What happens</span><SavedText class="field wide" :value="body.beat" label="What happens" :maxlength="300" @save="set({ beat: $event })" /></label>
    <label class="labelled"><span>What the picture shows; names stand for what is said of them</span><SavedText class="field wide serif" multiline :value="body.words" label="What the picture shows" :maxlength="2000" @save="set({ words: $event.replace(/\s*\n\s*/g, ' ') })" /></label>
    <div class="labelled">
      <span>Who is there</span>
      <ul class="cast">
        <li v-for="use in body.cast" :key="use.part">
          <RouterLink v-if="open.partOf(use.part)" :to="`/series/${open.series.value!.id}/parts/${use.part}`">{{ nameOf(use.part) }}</RouterLink><span v-else>{{ nameOf(use.part) }}</span>
          <PartChoice v-if="open.partOf(use.part)" :part="open.partOf(use.part)!" :use="use" @change="setVariants(use.part, $event)" />
          <button class="plain" :aria-label="`${nameOf(use.part)} is not there`" @click="set({ cast: body.cast.filter((one) => one.part !== use.part) })">Take out</button>
        </li>
      </ul>
      <select v-if="absent.length" class="field" aria-label="Somebody else is there" @change="addCast($event.target as HTMLSelectElement)"><option value="">Somebody else …</option><option v-for="part in absent" :key="part.id" :value="part.id">{{ part.body.name }}</option></select>
    </div>
    <div class="two">
      <label class="labelled"><span>Where</span><select class="field" :value="body.place?.part ?? ''" @change="setPlace(($event.target as HTMLSelectElement).value)"><option value="">in words</option><option v-for="part in open.places.value" :key="part.id" :value="part.id">{{ part.body.name }}</option></select></label>
      <label v-if="!body.place" class="labelled"><span>In words</span><SavedText class="field wide" :value="body.where" label="Where, in words" :maxlength="300" @save="set({ where: $event })" /></label>
      <span v-else-if="placePart?.body.variants.length" class="labelled"><span>As it is here</span><PartChoice :part="placePart" :use="body.place" @change="set({ place: { part: body.place!.part, variants: $event } })" /></span>
      <label class="labelled"><span>When</span><SavedText class="field wide" :value="body.moment" label="When" :maxlength="200" @save="set({ moment: $event })" /></label>
      <label class="labelled"><span>Framing</span><SavedText class="field wide" :value="body.framing" label="Framing" :maxlength="300" placeholder="wide shot, low angle" @save="set({ framing: $event })" /></label>
    </div>

    <div class="text">
      <h2>Its text <RouterLink class="soft" :to="`/desk/${scene.promptId}`">open on the Desk</RouterLink></h2>
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
          <button :aria-pressed="scene.chosen?.id === proof.id" :title="`Version ${proof.version}, ${proof.engine.name}${proof.verdict ? `, ${proof.verdict}` : ''}`" @click="open.changeScene(scene.id, { chosen: scene.chosen?.id === proof.id ? null : proof.id })">
            <img :src="`/api/pictures/${proof.picture!.sha256}/thumbnail`" :alt="`Version ${proof.version}, ${proof.engine.name}`" loading="lazy" />
            <span>{{ scene.chosen?.id === proof.id ? 'chosen' : 'choose' }}</span>
          </button>
        </li>
      </ul>
      <p v-else class="soft">None yet. <RouterLink :to="`/desk/${scene.promptId}`">Try it on the Desk</RouterLink>.</p>
    </div>

    <div class="two">
      <label class="labelled"><span>Camera</span><select class="field" :value="body.motion.camera" @change="set({ motion: { ...body.motion, camera: ($event.target as HTMLSelectElement).value as CameraMove } })"><option v-for="move in CAMERA_MOVES" :key="move">{{ move }}</option></select></label>
      <label class="labelled"><span>Seconds</span><input class="field" type="number" min="0.5" max="120" step="0.5" :value="body.motion.seconds" @change="set({ motion: { ...body.motion, seconds: Math.min(120, Math.max(0.5, Number(($event.target as HTMLInputElement).value) || 4)) } })" /></label>
      <label class="labelled whole"><span>What moves</span><SavedText class="field wide" :value="body.motion.subject" label="What moves" :maxlength="300" placeholder="she lifts the lantern" @save="set({ motion: { ...body.motion, subject: $event } })" /></label>
      <label class="labelled whole"><span>Caption</span><SavedText class="field wide" multiline :value="body.caption" label="Caption" :maxlength="1000" @save="set({ caption: $event.replace(/\s*\n\s*/g, ' ') })" /></label>
    </div>
    <details :open="rest || !!(body.sound || body.note)" @toggle="rest = ($event.target as HTMLDetailsElement).open">
      <summary class="soft">Sound, notes and its passage</summary>
      <label class="labelled"><span>Sound</span><SavedText class="field wide" :value="body.sound" label="Sound" :maxlength="500" @save="set({ sound: $event })" /></label>
      <label class="labelled"><span>Notes</span><SavedText class="field wide" multiline :value="body.note" label="Notes" :maxlength="4000" @save="set({ note: $event })" /></label>
      <p v-if="passage" class="passage">{{ passage }}</p>
    </details>
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
  gap: 8px 12px;
}
.whole {
  grid-column: 1 / -1;
}
select.field {
  min-width: 0;
  width: 100%;
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
details {
  display: grid;
  gap: 8px;
}
summary {
  cursor: pointer;
}
.passage {
  margin-top: 8px;
  font-family: var(--serif);
  white-space: pre-line;
}
</style>
