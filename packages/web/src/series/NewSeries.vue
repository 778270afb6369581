<script setup lang="ts">
import { addPart, addScenes, listParts, MAX_STORY, type Part, splitStory, type StorySplit } from '@idolon/contract'
import { sentenceStarts } from '@idolon/core'
import { computed, ref, shallowRef } from 'vue'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import { bodyOfFound, type FoundPart, foundParts, sameName, scenesFromSplit } from './from-split.ts'
import OtherSplit from './OtherSplit.vue'
import type { OpenSeries } from './use-series.ts'

/** From a story to scenes: it is split, the boundaries are moved where they should be, and who and where becomes parts. */
const props = defineProps<{ open: OpenSeries }>()
const emit = defineEmits<{ made: [series: string]; leave: [] }>()
const projects = useProjects()
const task = useTask()
const name = ref('')
const story = ref('')
const split = shallowRef<StorySplit>()
const parts = shallowRef<Part[]>([])
const wanted = ref<Record<string, boolean>>({})
const busy = ref(false)
const keyOf = ({ kind, name: said }: FoundPart) => `${kind} ${said}`
const found = computed(() => (split.value ? foundParts(split.value, parts.value) : []))
/** The story that was split; writing on makes the split an old one. */
const splitOf = ref('')

const read = (starts?: number[]) =>
  task(async () => {
    const project = await projects.currentOrFirst()
    parts.value = await call(listParts, { query: { project: project.id } })
    split.value = await call(splitStory, { body: { story: story.value, ...(starts ? { starts } : {}) } })
    splitOf.value = story.value
    projectId.value = project.id
    if (!starts) ours.value = startsNow.value
    const few = found.value.length <= 12
    wanted.value = Object.fromEntries(found.value.map((one) => [keyOf(one), wanted.value[keyOf(one)] ?? (one.known !== undefined || one.scenes.length > 1 || few)]))
  })
const startsNow = computed(() => split.value?.scenes.map(({ start }) => start) ?? [])
const joinUp = (n: number) => read(startsNow.value.filter((_, i) => i !== n))
/** Where the scenes were computed to begin, before anything was moved. */
const ours = ref<number[]>([])
const projectId = ref('')
/** Where somebody else would begin scenes. */
const other = shallowRef<{ by: string; starts: number[] }>()
const otherWithin = ({ start, end }: StorySplit['scenes'][number]) => other.value?.starts.filter((one) => one > start && one < end) ?? []
const firstWords = (at: number) => story.value.slice(at, at + 60).split(/\s+/).slice(0, 7).join(' ')
function sentencesOf({ start, text }: StorySplit['scenes'][number]): { at: number; text: string }[] {
  const froms = sentenceStarts(text)
  return froms.map((from, i) => ({ at: start + from, text: text.slice(from, froms[i + 1] ?? text.length) }))
}
const opened = ref<number>()

/** Makes the parts that are wanted, the series and its scenes; nothing of it where one of them fails to be made. */
const make = () =>
  task(async () => {
    busy.value = true
    try {
      const project = await projects.currentOrFirst()
      const ids = new Map<string, string>()
      for (const one of found.value) {
        if (!wanted.value[keyOf(one)]) continue
        const id = one.known ?? crypto.randomUUID()
        if (!one.known) await call(addPart, { body: { id, projectId: project.id, body: bodyOfFound(one), why: 'Found in the story.' } })
        ids.set(keyOf(one), id)
      }
      const made = await props.open.begin(project.id, name.value.trim() || 'A series', story.value)
      if (!made) return
      const partOf = (kind: FoundPart['kind'], said: string) => {
        const one = found.value.find((other) => other.kind === kind && [other.name, ...other.also].some((own) => sameName(own, said)))
        return one && ids.get(keyOf(one))
      }
      emit('made', made.id)
      if (split.value) await addAll(made.id, scenesFromSplit(split.value, partOf))
    } finally {
      busy.value = false
    }
  })
async function addAll(series: string, scenes: ReturnType<typeof scenesFromSplit>): Promise<void> {
  await call(addScenes, { params: { series }, body: { after: null, scenes } })
  await props.open.load()
}
</script>

<template>
  <section class="new" aria-labelledby="new-series">
    <h2 id="new-series" class="titled">A new series</h2>
    <v-text-field v-model="name" label="Its name" maxlength="120" placeholder="Lantern Bees" class="name" />
    <v-textarea v-model="story" label="The story, from two lines to many pages; it may be empty" :rows="split ? 6 : 14" :max-rows="22" :maxlength="MAX_STORY" />
    <p class="row-actions">
      <v-btn :color="split && splitOf === story ? undefined : 'primary'" :variant="split && splitOf === story ? 'outlined' : 'flat'" :disabled="!story.trim() || busy" @click="read()">Split it into scenes</v-btn>
      <v-btn v-if="!story.trim()" color="primary" variant="flat" :disabled="!name.trim() || busy" @click="make">Begin without a story</v-btn>
      <v-btn variant="text" @click="emit('leave')">Cancel</v-btn>
    </p>
    <template v-if="split">
      <p v-if="split.scenes.length === 0" role="status">There is no scene in this. Write at least a sentence.</p>
      <div v-else class="found">
        <div>
          <h3>{{ counted(split.scenes.length, 'scene') }} <span class="soft">what is carried on from an earlier scene is in brackets</span></h3>
          <OtherSplit v-if="splitOf === story" :key="projectId" :project-id="projectId" :story="splitOf" :starts="startsNow" :ours="ours" @other="other = $event" @take="read" />
          <ol>
            <li v-for="(scene, n) in split.scenes" :key="scene.start">
              <span class="number">{{ n + 1 }}</span>
              <div>
                <p class="beat">{{ scene.beat || scene.text.slice(0, 120) }}</p>
                <p class="soft">{{ [scene.cast.join(', '), scene.place && (scene.place.carried ? `(${scene.place.text})` : scene.place.text), scene.moment && (scene.moment.carried ? `(${scene.moment.text})` : scene.moment.text)].filter(Boolean).join(' · ') || 'nobody, nowhere, no time' }}</p>
                <p v-if="opened === n" class="passage"><template v-for="(sentence, i) in sentencesOf(scene)" :key="sentence.at"><v-btn v-if="i > 0" variant="text" class="cut" @click="read([...startsNow, sentence.at])">begin a scene here</v-btn>{{ sentence.text }}</template></p>
                <template v-if="other">
                  <p v-if="n > 0 && !other.starts.includes(scene.start)" class="else">{{ other.by }} goes on here with the scene before.</p>
                  <p v-for="at in otherWithin(scene)" :key="at" class="else">{{ other.by }} begins a scene within: “{{ firstWords(at) }} …” <v-btn variant="text" :aria-label="`Begin a scene at “${firstWords(at)}”`" @click="read([...startsNow, at])">Begin it there</v-btn></p>
                </template>
              </div>
              <span class="row-actions"><v-btn variant="text" :aria-expanded="opened === n" @click="opened = opened === n ? undefined : n">Its passage</v-btn><v-btn v-if="n > 0" variant="text" @click="joinUp(n)">Join with the one before</v-btn></span>
            </li>
          </ol>
        </div>
        <div>
          <h3>Becomes characters and places</h3>
          <ul class="parts">
            <li v-for="one in found" :key="keyOf(one)"><v-checkbox :label="one.name" :model-value="wanted[keyOf(one)] ?? false" @update:model-value="wanted[keyOf(one)] = $event === true" /> <span class="soft">{{ one.kind }}, {{ counted(one.scenes.length, 'scene') }}{{ one.known ? '; is there already' : one.also.length ? `; also ${one.also.join(', ')}` : '' }}</span></li>
          </ul>
          <p class="soft">Who is left out stays in the words of the scenes.</p>
        </div>
      </div>
      <p v-if="split.scenes.length" class="row-actions"><v-btn color="primary" variant="flat" :disabled="busy || splitOf !== story" @click="make">Make {{ counted(split.scenes.length, 'scene') }}</v-btn><span v-if="splitOf !== story" class="soft">The story has changed; split it again first.</span><span v-if="busy" role="status" class="soft">Making them …</span></p>
    </template>
  </section>
</template>

<style scoped>
.new {
  display: grid;
  gap: 12px;
}
.name {
  max-width: 420px;
}
.found {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 280px;
  gap: 36px;
  align-items: start;
}
h3 .soft {
  margin-left: 8px;
  font-weight: 400;
  font-size: 13px;
}
ol li {
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr) auto;
  gap: 10px;
  padding: 7px 0;
  border-top: 1px solid var(--rule);
}
.number {
  font-family: var(--mono);
  font-size: 13px;
  color: var(--soft);
}
.beat,
.passage {
  font-family: var(--serif);
  font-size: 16px;
}
.passage {
  margin-top: 6px;
  padding-left: 10px;
  border-left: 2px solid var(--rule);
  white-space: pre-line;
}
.else {
  padding-left: 10px;
  border-left: 2px solid var(--accent);
  font-size: 13px;
}
.cut {
  display: block;
  font-family: var(--grotesque);
  font-size: 12px;
  color: var(--soft);
}
.parts li {
  padding: 3px 0;
}
.parts .soft {
  font-size: 12.5px;
}
</style>
