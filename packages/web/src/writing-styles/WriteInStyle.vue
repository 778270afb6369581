<script setup lang="ts">
import type { WritingStyle } from '@idolon/contract'
import { type Draft, emptyDraft, type StyleCloseness, styleInWords } from '@idolon/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { isOpen, useAsking } from '../asking/asking.ts'
import { costAbout } from '../asking/cost-words.ts'
import GrowingAnswer from '../asking/GrowingAnswer.vue'
import { useTask } from '../notices/notices.ts'
import { useNewPrompt } from '../prompts/new-prompt.ts'
import type { ReadingClient } from '../reading/reading-client.ts'
import { useHelpers } from '../stores/helpers.ts'
import { useModels } from '../stores/models.ts'
import { useProjects } from '../stores/projects.ts'
import FoldOut from '../shared/FoldOut.vue'
import NumberField from '../shared/NumberField.vue'

/** Writes a word, a line or a draft in a writing style, by the core alone or with a language model, and says how close it came. */
const props = defineProps<{ writingStyle: WritingStyle; reading: ReadingClient; begun?: string | undefined }>()
const projects = useProjects()
const helpers = useHelpers()
const models = useModels()
const task = useTask()
const { fromText } = useNewPrompt()
void Promise.all([helpers.load(), models.load()])
const source = ref(props.begun ?? '')
const words = ref(props.writingStyle.body.words.middle)
const take = ref(0)
interface Written {
  by: string
  text: string
  closeness: StyleCloseness
  examples: number[]
}
const written = shallowRef<Written[]>([])
const draft = (): Draft => ({ ...emptyDraft(), text: source.value.trim() })
const asking = useAsking({ projectId: projects.current?.id ?? '', promptId: null, draft })
const profile = computed(() => models.find(models.usual))
const helper = computed(() => helpers.find('in-a-style'))

async function write(another: boolean): Promise<void> {
  take.value = another ? take.value + 1 : 0
  const answer = await props.reading.ask('inStyle', { writingStyle: props.writingStyle.body, source: source.value, words: words.value, take: take.value })
  const one = { by: 'Written here', ...answer }
  written.value = another ? [one, ...written.value.filter(({ text }) => text !== one.text)].slice(0, 6) : [one]
}
const ask = () => profile.value && asking.ask({ helper: 'in-a-style', models: [models.usual], values: { writingStyle: styleInWords(props.writingStyle.body), length: words.value } })
watch(() => asking.turn.value, async (turn) => {
  const text = turn?.state === 'done' ? turn.proposed?.text : undefined
  if (!turn || text === undefined) return
  const measured = await props.reading.ask('styleCloseness', { writingStyle: props.writingStyle.body, text })
  written.value = [{ by: turn.model.name, text, ...measured }, ...written.value.filter((one) => one.text !== text)].slice(0, 6)
})
const begin = (text: string) => task(async () => fromText((await projects.currentOrFirst()).id, text))
const figure = (score: number) => score.toFixed(2)
</script>

<template>
  <section class="write" aria-labelledby="write-title">
    <h3 id="write-title">Write in it</h3>
    <form class="ask" @submit.prevent="write(false)">
      <v-textarea v-model="source" label="A word, a line or a draft" rows="2" placeholder="a word, a line or a draft" maxlength="20000" auto-grow @keydown.ctrl.enter="write(false)" />
      <NumberField label="About how many words" :min="3" :max="400" integer :value="words" class="number" @set="$event !== undefined && (words = $event)" />
      <v-btn color="primary" variant="flat" :disabled="!source.trim()" type="submit">Write it</v-btn>
      <v-btn :disabled="!written.length || !source.trim()" @click="write(true)">Another</v-btn>
      <v-btn :disabled="!source.trim() || !profile || !helper || asking.busy.value" @click="ask">Ask {{ profile?.name ?? 'a model' }}</v-btn>
    </form>
    <p v-if="profile && helper && source.trim()" class="soft">A model is given the writing style in words: {{ costAbout(helper.body, source, [profile]) }}.</p>
    <template v-if="asking.turn.value">
      <GrowingAnswer v-if="isOpen(asking.turn.value)" :turn="asking.turn.value" :text="asking.texts[asking.turn.value.id] ?? ''" />
      <p v-else-if="asking.turn.value.state !== 'done'" role="alert">{{ asking.turn.value.problem }}</p>
    </template>
    <article v-for="one in written" :key="one.text" class="one">
      <p class="text">{{ one.text }}</p>
      <p class="row-actions">
        <v-btn @click="begin(one.text)">Begin a prompt with it</v-btn>
        <span class="soft">{{ one.by }}</span>
        <span>as close as <strong>{{ figure(one.closeness.score) }}</strong><template v-if="one.examples.length">; the examples themselves {{ figure(Math.min(...one.examples)) }} to {{ figure(Math.max(...one.examples)) }}</template></span>
      </p>
      <FoldOut title="In what">
        <v-table><tbody><tr v-for="respect in one.closeness.respects" :key="respect.name"><th scope="row">{{ respect.name }}</th><td>{{ figure(respect.score) }}</td><td class="soft">{{ respect.says }}</td></tr></tbody></v-table>
      </FoldOut>
    </article>
  </section>
</template>

<style scoped>
.write,
.one {
  display: grid;
  gap: 8px;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
}
.number {
  width: 180px;
}
.one {
  padding: 10px 14px;
  border-left: 2px solid var(--rule-strong);
}
.text {
  font-family: var(--serif);
  font-size: 17px;
  line-height: 1.5;
  white-space: pre-wrap;
}
th,
td {
  padding: 1px 14px 1px 0;
  text-align: left;
  font-weight: 400;
}
</style>
