<script setup lang="ts">
import type { Turn } from '@idolon/contract'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import { type Asking, isOpen } from '../asking/asking.ts'
import GrowingAnswer from '../asking/GrowingAnswer.vue'
import TurnFacts from '../asking/TurnFacts.vue'
import type { DraftSession } from '../desk/draft-session.ts'
import { useNotices } from '../notices/notices.ts'
import { useNewPrompt } from '../prompts/new-prompt.ts'
import AlternativesPanel from './AlternativesPanel.vue'
import ExplanationPanel from './ExplanationPanel.vue'
import IdeasPanel from './IdeasPanel.vue'
import LeaveOutsPanel from './LeaveOutsPanel.vue'
import ProposalPanel from './ProposalPanel.vue'
import QuestionsPanel from './QuestionsPanel.vue'
import TwoProposals from './TwoProposals.vue'
import type { Around } from './use-proposal.ts'

/** What a helper answered, in the one place beside the text until it is decided; going on happens here, too. */
const props = defineProps<{ asking: Asking; session: DraftSession; around: Around; projectId: string }>()
const emit = defineEmits<{ close: [] }>()
const notices = useNotices()
const { fromIdeas } = useNewPrompt()
const further = ref('')

const turn = computed(() => props.asking.turn.value)
const other = computed(() => props.asking.other.value)
const pair = computed((): [Turn, Turn] | undefined => (turn.value && other.value && turn.value.proposed && other.value.proposed ? [turn.value, other.value] : undefined))
const takes = computed(() => props.asking.takes.value)
const says = (one: Turn) => (one.further ? one.further : '')
const canGoOn = computed(() => [turn.value, other.value].some((one) => one?.state === 'done'))
watch(turn, () => (further.value = ''))
/** What is asked from further down the page is answered up here. */
const head = useTemplateRef<HTMLElement>('head')
watch(
  () => props.asking.shown.value,
  async () => {
    await nextTick()
    head.value?.scrollIntoView({ block: 'nearest' })
  },
  { immediate: true },
)

async function send(): Promise<void> {
  const said = further.value.trim()
  if (said) await props.asking.goOn(said)
}
const decided = (one: Turn, taken: number, left: number) => void props.asking.decide(one.id, taken, left)
const replace = (idea: string) => {
  const { text } = props.session.draft.value
  props.session.change({ text: idea, marks: [] })
  notices.show('The draft begins anew from the idea.', text.trim() ? { action: { label: 'Undo', run: props.session.undo } } : {})
}
const more = (like: string, unlike: string[]) => turn.value && props.asking.ask({ helper: 'more-like-this', models: [turn.value.model.id], values: { like, unlike: unlike.join('\n'), count: 10 } })
</script>

<template>
  <section v-if="turn" class="place" :aria-label="`What ${turn.helper.name} answers`">
    <header ref="head">
      <h2>{{ turn.helper.name }} <span class="soft">{{ other ? 'two models' : turn.model.name }}{{ turn.model.simulated ? ', simulated' : '' }}</span></h2>
      <v-btn variant="text" @click="emit('close')">Close</v-btn>
    </header>
    <p v-if="takes.length > 1" class="row-actions takes" role="group" aria-label="Answers">
      <v-btn v-for="(one, i) in takes" :key="one.id" variant="text" :aria-pressed="one.id === turn.id" @click="asking.show(one.id)">{{ says(one) ? `“${says(one).slice(0, 24)}”` : `Answer ${i + 1}` }}</v-btn>
    </p>

    <TwoProposals v-if="pair" :key="pair[0].id + pair[1].id" :turns="pair" :session="session" :around="around" />
    <template v-for="one in pair ? [] : [turn, ...(other ? [other] : [])]" v-else :key="one.id">
      <h3 v-if="other">{{ one.model.name }}</h3>
      <GrowingAnswer v-if="isOpen(one)" :turn="one" :text="asking.texts[one.id] ?? ''" />
      <div v-else-if="one.state !== 'done'" class="problem" role="alert">
        <p>{{ one.problem }}</p>
        <p class="row-actions"><v-btn @click="asking.again(one)">Send the question again</v-btn></p>
      </div>
      <QuestionsPanel v-else-if="one.kind === 'questions'" :turn="one" :session="session" @decided="(...counts: [number, number]) => decided(one, ...counts)" />
      <IdeasPanel v-else-if="one.kind === 'ideas'" :turn="one" :busy="asking.busy.value" can-replace @make="fromIdeas(projectId, $event)" @replace="replace" @more="more" />
      <AlternativesPanel v-else-if="one.kind === 'alternatives'" :turn="one" :session="session" @decided="(...counts: [number, number]) => decided(one, ...counts)" />
      <ExplanationPanel v-else-if="one.kind === 'explanation'" :turn="one" :session="session" />
      <LeaveOutsPanel v-else-if="one.kind === 'leave-outs'" :turn="one" :session="session" @decided="(...counts: [number, number]) => decided(one, ...counts)" />
      <ProposalPanel v-else :turn="one" :session="session" :around="around" @decided="(...counts: [number, number]) => decided(one, ...counts)" />
    </template>

    <p v-if="asking.busy.value"><v-btn @click="asking.stop()">Stop</v-btn></p>
    <form v-if="canGoOn && !asking.busy.value" class="on" @submit.prevent="send">
      <v-text-field v-model="further" :label="other ? 'Go on, each from its own answer' : 'Go on from this answer'" maxlength="2000" placeholder="shorter; at night; without the dog" />
      <v-btn :disabled="!further.trim()" type="submit">Ask for that</v-btn>
      <v-btn variant="text" @click="asking.twoMore()">{{ other ? 'One more of each' : 'Two more answers' }}</v-btn>
    </form>
    <TurnFacts v-for="one in [turn, ...(other ? [other] : [])].filter((each) => !isOpen(each))" :key="one.id" :turn="one" />
  </section>
</template>

<style scoped>
.place {
  display: grid;
  gap: 14px;
  align-content: start;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 14px;
  padding-bottom: 6px;
  border-bottom: 1px solid var(--rule);
}
h2 .soft {
  margin-left: 6px;
  font-size: 13px;
  font-weight: 400;
}
.takes {
  gap: 6px 16px;
}
.problem {
  display: grid;
  gap: 8px;
  padding-left: 11px;
  border-left: 2px solid var(--accent);
}
.on {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: end;
  padding-top: 10px;
  border-top: 1px solid var(--rule);
}
</style>
