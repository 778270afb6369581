<script setup lang="ts">
import { createPrompt, saveEdits } from '@idolon/contract'
import { emptyDraft } from '@idolon/core'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { isOpen, useAsking } from '../asking/asking.ts'
import { costAbout } from '../asking/cost-words.ts'
import GrowingAnswer from '../asking/GrowingAnswer.vue'
import TurnFacts from '../asking/TurnFacts.vue'
import { useNotices, useTask } from '../notices/notices.ts'
import IdeasPanel from '../proposal/IdeasPanel.vue'
import { counted } from '../shared/said.ts'
import { useHelpers } from '../stores/helpers.ts'
import { useModels } from '../stores/models.ts'

/** A theme or a brief becomes ten ideas; those that please become prompts. */
const props = defineProps<{ projectId: string; projectName: string }>()
const helpers = useHelpers()
const models = useModels()
const notices = useNotices()
const task = useTask()
const router = useRouter()
void Promise.all([helpers.load(), models.load()]).catch(() => undefined)
const theme = ref('')
const asking = useAsking({ projectId: props.projectId, promptId: null, draft: emptyDraft })
const turn = asking.turn
const helper = computed(() => helpers.find('ideas'))
const profile = computed(() => models.find(models.usual))
const ask = () => helper.value && asking.ask({ helper: 'ideas', models: [models.usual], values: { theme: theme.value.trim(), count: 10 } })
const more = (like: string, unlike: string[]) => asking.ask({ helper: 'more-like-this', models: [models.usual], values: { like, unlike: unlike.join('\n'), count: 10 } })
const make = (ideas: string[]) =>
  task(async () => {
    for (const idea of ideas) {
      const prompt = await call(createPrompt, { body: { projectId: props.projectId } })
      await call(saveEdits, { params: { prompt: prompt.id }, body: { client: crypto.randomUUID(), first: 1, base: prompt.revision, edits: [{ text: [{ from: 0, to: 0, insert: idea }] }] } })
      if (ideas.length === 1) await router.push(`/desk/${prompt.id}`)
    }
    if (ideas.length > 1) notices.show(`${counted(ideas.length, 'prompt')} made in ${props.projectName}.`, { action: { label: 'See them', run: () => void router.push('/shelf') } })
  })
</script>

<template>
  <div class="from-idea">
    <form class="row-actions" @submit.prevent="ask">
      <input v-model="theme" class="field" aria-label="Theme or brief" placeholder="late autumn; bridges; the client’s brief" maxlength="4000" />
      <button class="quiet" :disabled="!theme.trim() || asking.busy.value || !profile || !helper">Ten ideas</button>
    </form>
    <p class="soft">{{ profile && helper ? `Asked of ${profile.name}${profile.simulated ? ', simulated' : ''}: ${costAbout(helper.body, theme, [profile])}. Nothing the project has is repeated.` : 'No language model is connected.' }}</p>
    <template v-if="turn">
      <GrowingAnswer v-if="isOpen(turn)" :turn="turn" :text="asking.texts[turn.id] ?? ''" />
      <p v-else-if="turn.state !== 'done'" role="alert">{{ turn.problem }}</p>
      <IdeasPanel v-else :turn="turn" :busy="asking.busy.value" @make="make" @more="more" />
      <p v-if="asking.busy.value"><button class="quiet" @click="asking.stop()">Stop</button></p>
      <TurnFacts v-else :turn="turn" />
    </template>
  </div>
</template>

<style scoped>
.from-idea {
  display: grid;
  gap: 8px;
}
.field {
  flex: 1 1 160px;
}
</style>
