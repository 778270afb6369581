<script setup lang="ts">
import { emptyDraft } from '@idolon/core'
import { computed, ref } from 'vue'
import { isOpen, useAsking } from '../asking/asking.ts'
import { costAbout } from '../asking/cost-words.ts'
import GrowingAnswer from '../asking/GrowingAnswer.vue'
import TurnFacts from '../asking/TurnFacts.vue'
import { useNewPrompt } from '../prompts/new-prompt.ts'
import IdeasPanel from '../proposal/IdeasPanel.vue'
import { useHelpers } from '../stores/helpers.ts'
import { useModels } from '../stores/models.ts'

/** A theme or a brief becomes ten ideas; those that please become prompts. */
const props = defineProps<{ projectId: string }>()
const helpers = useHelpers()
const models = useModels()
const { fromIdeas } = useNewPrompt()
void Promise.all([helpers.load(), models.load()])
const theme = ref('')
const asking = useAsking({ projectId: props.projectId, promptId: null, draft: emptyDraft })
const turn = asking.turn
const helper = computed(() => helpers.find('ideas'))
const profile = computed(() => models.find(models.usual))
const ask = () => helper.value && asking.ask({ helper: 'ideas', models: [models.usual], values: { theme: theme.value.trim(), count: 10 } })
const more = (like: string, unlike: string[]) => asking.ask({ helper: 'more-like-this', models: [models.usual], values: { like, unlike: unlike.join('\n'), count: 10 } })
</script>

<template>
  <div class="from-idea">
    <form class="row-actions" @submit.prevent="ask">
      <v-text-field v-model="theme" label="Theme or brief" placeholder="late autumn; bridges; the client’s brief" maxlength="4000" />
      <v-btn :disabled="!theme.trim() || asking.busy.value || !profile || !helper" type="submit">Ten ideas</v-btn>
    </form>
    <p class="soft">{{ profile && helper ? `Asked of ${profile.name}${profile.simulated ? ', simulated' : ''}: ${costAbout(helper.body, theme, [profile])}. Nothing the project has is repeated.` : 'No language model is connected.' }}</p>
    <template v-if="turn">
      <GrowingAnswer v-if="isOpen(turn)" :turn="turn" :text="asking.texts[turn.id] ?? ''" />
      <p v-else-if="turn.state !== 'done'" role="alert">{{ turn.problem }}</p>
      <IdeasPanel v-else :turn="turn" :busy="asking.busy.value" @make="fromIdeas(projectId, $event)" @more="more" />
      <p v-if="asking.busy.value"><v-btn @click="asking.stop()">Stop</v-btn></p>
      <template v-else>
        <p class="row-actions" role="group" aria-label="Answers">
          <v-btn v-for="(one, i) in asking.turns.value.length > 1 ? asking.turns.value : []" :key="one.id" variant="text" :aria-pressed="one.id === turn.id" @click="asking.show(one.id)">Answer {{ i + 1 }}</v-btn>
          <v-btn variant="text" @click="asking.twoMore()">Two more answers</v-btn>
        </p>
        <TurnFacts :turn="turn" />
      </template>
    </template>
  </div>
</template>

<style scoped>
.from-idea {
  display: grid;
  gap: 8px;
}
.row-actions > .v-input {
  flex: 1 1 200px;
}
</style>
