<script setup lang="ts">
import { beginsIn, emptyDraft, sentenceStarts } from '@idolon/core'
import { MOST_SPLIT, type ScenesAnswer } from '@idolon/core/helper'
import { computed, watch } from 'vue'
import { isOpen, useAsking } from '../asking/asking.ts'
import { costAbout } from '../asking/cost-words.ts'
import GrowingAnswer from '../asking/GrowingAnswer.vue'
import TurnFacts from '../asking/TurnFacts.vue'
import { counted } from '../shared/said.ts'
import { useHelpers } from '../stores/helpers.ts'
import { useModels } from '../stores/models.ts'

/** Another split of a story, by a language model, held against the one that stands: where it begins scenes, and which it would not. */
const props = defineProps<{ projectId: string; story: string; starts: readonly number[]; ours: readonly number[] }>()
const emit = defineEmits<{ other: [split: { by: string; starts: number[] } | undefined]; take: [starts: number[]] }>()
const helpers = useHelpers()
const models = useModels()
void Promise.all([helpers.load(), models.load()])
const asking = useAsking({ projectId: props.projectId, promptId: null, draft: emptyDraft })
const turn = asking.turn
const helper = computed(() => helpers.find('split-story'))
const profile = computed(() => models.find(models.usual))
const tooLong = computed(() => props.story.length > MOST_SPLIT)
const ask = () => helper.value && asking.ask({ helper: 'split-story', models: [models.usual], values: { story: props.story } })

const asked = computed(() => (turn.value?.state === 'done' ? (turn.value.value as ScenesAnswer).scenes : undefined))
const found = computed(() => asked.value && beginsIn(props.story, asked.value.map(({ begins }) => begins)))
/** Its scenes begin where sentences do, as all scenes. */
const starts = computed(() => {
  const sentences = sentenceStarts(props.story)
  return found.value && [...new Set(found.value.starts.map((start) => sentences.findLast((one) => one <= start) ?? sentences[0] ?? 0))]
})
watch([starts, turn], () => emit('other', starts.value && { by: turn.value!.model.name, starts: starts.value }))
// An answer is about the story that was sent.
watch(() => props.story, () => asking.close())
const same = (a: readonly number[], b: readonly number[]) => a.length === b.length && a.every((one) => b.includes(one))
const shared = computed(() => starts.value?.filter((start) => props.starts.includes(start)).length ?? 0)
</script>

<template>
  <section class="other" aria-label="Another split">
    <p v-if="!turn" class="row-actions">
      <v-btn :disabled="!helper || !profile || tooLong" @click="ask">Ask a helper for another split</v-btn>
      <span class="soft">{{ tooLong ? `A model is sent up to ${MOST_SPLIT.toLocaleString('en')} characters; this story has ${story.length.toLocaleString('en')}. The split here needs no model.` : helper && profile ? `${profile.name}${profile.simulated ? ', simulated' : ''}: ${costAbout(helper.body, story, [profile])}` : 'No language model is connected.' }}</span>
    </p>
    <template v-else>
      <GrowingAnswer v-if="isOpen(turn)" :turn="turn" :text="asking.texts[turn.id] ?? ''" />
      <p v-if="asking.busy.value"><v-btn @click="asking.stop()">Stop</v-btn></p>
      <template v-else-if="!starts">
        <p role="alert">{{ turn.problem ?? 'It was stopped.' }} The split here stays as it is.</p>
        <p class="row-actions"><v-btn @click="asking.again(turn)">Ask again</v-btn><v-btn variant="text" @click="asking.close()">Close</v-btn></p>
      </template>
      <template v-else>
        <p role="status">{{ turn.model.name }} sees {{ counted(starts.length, 'scene') }}, here {{ starts.length === 1 ? 'is' : 'are' }} {{ props.starts.length }}; {{ shared }} begin{{ shared === 1 ? 's' : '' }} at the same sentence. Where the two part is said in the list.</p>
        <p v-if="found!.unfound.length" class="soft">{{ counted(found!.unfound.length, 'beginning') }} that it quotes stand{{ found!.unfound.length === 1 ? 's' : '' }} nowhere in the story: {{ found!.unfound.map((one) => `“${one}”`).join(', ') }}.</p>
        <p class="row-actions">
          <v-btn :disabled="same(starts, props.starts)" @click="emit('take', starts)">Accept its split</v-btn>
          <v-btn :disabled="same(ours, props.starts)" @click="emit('take', [...ours])">Keep our split</v-btn>
          <v-btn variant="text" @click="asking.twoMore()">Two more answers</v-btn>
          <v-btn v-for="(one, i) in asking.turns.value.length > 1 ? asking.turns.value : []" :key="one.id" variant="text" :aria-pressed="one.id === turn.id" @click="asking.show(one.id)">Answer {{ i + 1 }}</v-btn>
          <v-btn variant="text" @click="asking.close()">Close</v-btn>
        </p>
        <TurnFacts :turn="turn" />
      </template>
    </template>
  </section>
</template>

<style scoped>
.other {
  display: grid;
  gap: 6px;
  padding: 8px 0 10px;
}
</style>
