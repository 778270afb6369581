<script setup lang="ts">
import { MAX_STORY, type Scene } from '@idolon/contract'
import { sentenceStarts } from '@idolon/core'
import { computed, ref, watch } from 'vue'
import type { OpenSeries } from './use-series.ts'

/** The story behind the scenes: each passage with the number of its scene in the margin; a scene is split where a sentence begins. */
const props = defineProps<{ open: OpenSeries; chosen: string | undefined }>()
const emit = defineEmits<{ choose: [scene: string] }>()
const story = computed(() => props.open.series.value?.story ?? '')
const editing = ref(false)
const text = ref('')
watch(story, (now) => {
  if (!editing.value) text.value = now
}, { immediate: true })

interface Stretch {
  start: number
  end: number
  scene?: Scene
  number?: number
}
/** The story cut where passages begin and end; where two scenes tell one passage, the first has it. */
const stretches = computed<Stretch[]>(() => {
  const scenes = (props.open.series.value?.scenes ?? []).flatMap((scene, i) => (scene.story ? [{ ...scene.story, scene, number: i + 1 }] : [])).sort((a, b) => a.start - b.start)
  const found: Stretch[] = []
  let at = 0
  for (const one of scenes) {
    const start = Math.max(at, one.start)
    if (one.end <= start) continue
    if (start > at) found.push({ start: at, end: start })
    found.push({ ...one, start })
    at = one.end
  }
  if (at < story.value.length) found.push({ start: at, end: story.value.length })
  return found.filter(({ start, end, scene }) => scene !== undefined || story.value.slice(start, end).trim())
})
/** Where sentences of a passage begin, its first left out. */
function sentences({ start, end }: Stretch): { start: number; text: string }[] {
  const said = story.value.slice(start, end)
  const starts = sentenceStarts(said)
  return starts.map((from, i) => ({ start: start + from, text: said.slice(from, starts[i + 1] ?? said.length) }))
}
async function save(): Promise<void> {
  if (text.value !== story.value && !(await props.open.change({ story: text.value }))) return
  editing.value = false
}
function leave(): void {
  text.value = story.value
  editing.value = false
}
</script>

<template>
  <section class="story" aria-label="The story">
    <template v-if="editing">
      <v-textarea v-model="text" label="The story" rows="24" :maxlength="MAX_STORY" auto-grow @keydown.escape="leave" />
      <p class="soft">Passages go along with their scenes; scenes whose passage you rewrite are marked.</p>
      <p class="row-actions"><v-btn color="primary" variant="flat" @click="save">Save the story</v-btn><v-btn @click="leave">Cancel</v-btn></p>
    </template>
    <template v-else>
      <p class="row-actions"><v-btn variant="text" @click="editing = true">{{ story ? 'Rewrite the story' : 'Write the story' }}</v-btn><span v-if="story" class="soft">Press a number to open its scene.</span></p>
      <p v-if="!story" class="soft">This series has no story. Scenes can be added without one.</p>
      <div v-for="one in stretches" :key="one.start" class="stretch" :class="{ chosen: one.scene && one.scene.id === chosen, untold: !one.scene }">
        <v-btn v-if="one.scene" variant="text" :aria-label="`Scene ${one.number}`" class="number" @click="emit('choose', one.scene.id)">{{ one.number }}</v-btn>
        <span v-else class="number soft" title="No scene tells this">–</span>
        <p v-if="one.scene && one.scene.id === chosen">
          <template v-for="(sentence, i) in sentences(one)" :key="sentence.start"><v-btn v-if="i > 0" variant="text" class="cut" @click="open.split(one.scene!.id, sentence.start)">begin a scene here</v-btn>{{ sentence.text }}</template>
        </p>
        <p v-else>{{ story.slice(one.start, one.end) }}</p>
      </div>
    </template>
  </section>
</template>

<style scoped>
.story {
  display: grid;
  gap: 10px;
}
.stretch {
  display: grid;
  grid-template-columns: 28px minmax(0, 1fr);
  gap: 8px;
  padding-top: 2px;
  border-left: 2px solid transparent;
}
.stretch p {
  font-family: var(--serif);
  font-size: 15.5px;
  line-height: 1.55;
  white-space: pre-line;
}
.chosen {
  border-color: var(--accent);
}
.untold p {
  color: var(--soft);
}
.number {
  font-family: var(--mono);
  font-size: 13px;
  align-self: start;
  padding-top: 3px;
  text-align: right;
}
.cut {
  display: block;
  margin: 2px 0;
  font-family: var(--grotesque);
  font-size: 12px;
  color: var(--soft);
}
</style>
