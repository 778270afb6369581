<script setup lang="ts">
import { mergePrompts, type NearPrompt, readNear, saySame, unmergePrompt } from '@idolon/contract'
import { computed } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { sayRecord } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'

/** What says the same as a prompt, in other words: told apart, linked or merged by the writer. */
const props = defineProps<{ promptId: string; title: string; /** Says so where there is nothing. */ alone?: boolean }>()
const projects = useProjects()
const notices = useNotices()
const task = useTask()
const params = { prompt: props.promptId }
const { data: near, load } = usePageData<NearPrompt[]>({
  key: () => ['near', props.promptId],
  read: (signal) => call(readNear, { params, signal }),
  on: (event, shown) => (event.kind === 'prompt' || event.kind === 'proof') && (event.promptId === props.promptId || (shown?.some(({ promptId }) => promptId === event.promptId) ?? false)),
})
const same = computed(() => near.value?.filter(({ said, merged }) => said !== 'other' && !merged) ?? [])
const merged = computed(() => near.value?.filter((one) => one.merged) ?? [])
const apart = computed(() => near.value?.filter(({ said, merged: within }) => said === 'other' && !within) ?? [])

const say = (one: NearPrompt, as: 'same' | 'other' | null) =>
  task(async () => {
    await call(saySame, { params, body: { prompts: [one.promptId], as } })
    await load()
  })
const takeOut = (one: NearPrompt) =>
  task(async () => {
    await call(unmergePrompt, { params: { prompt: one.promptId } })
    await load()
  })
const merge = (one: NearPrompt) =>
  task(async () => {
    await call(mergePrompts, { params, body: { prompts: [one.promptId] } })
    await load()
    notices.show(`“${one.title}” is merged into “${props.title}”: its tags, its note and what it has shown count there.`, { action: { label: 'Remove from the merge', run: () => void takeOut(one) } })
  })
const differences = (one: NearPrompt) => (one.differences.length ? `; ${one.differences.slice(0, 4).join('; ')}` : '')
</script>

<template>
  <div>
    <p v-if="!near" class="soft">Looking for what says the same …</p>
    <p v-else-if="alone && !near.length" class="soft">No other prompt says the same.</p>
    <template v-if="same.length">
      <p>The same in other words:</p>
      <ul>
        <li v-for="one in same" :key="one.promptId">
          <span><RouterLink :to="`/desk/${one.promptId}`">{{ one.title }}</RouterLink> <span class="soft">{{ projects.byId(one.projectId)?.name }}, {{ sayRecord(one) }}{{ one.said === 'same' ? ', linked by you' : '' }}{{ differences(one) }}</span></span>
          <v-btn variant="text" :aria-label="`Merge ${one.title} into this one`" @click="merge(one)">Merge into this</v-btn>
          <v-btn v-if="one.said === 'same'" variant="text" :aria-label="`Unlink ${one.title}`" @click="say(one, null)">Unlink</v-btn>
          <v-btn v-else variant="text" :aria-label="`Say that ${one.title} is another prompt`" @click="say(one, 'other')">Another prompt</v-btn>
        </li>
      </ul>
    </template>
    <template v-if="merged.length">
      <p>Merged into this:</p>
      <ul>
        <li v-for="one in merged" :key="one.promptId">
          <span><RouterLink :to="`/desk/${one.promptId}`">{{ one.title }}</RouterLink> <span class="soft">{{ projects.byId(one.projectId)?.name }}, {{ sayRecord(one) }}</span></span>
          <v-btn variant="text" :aria-label="`Remove ${one.title} from the merge`" @click="takeOut(one)">Remove</v-btn>
        </li>
      </ul>
    </template>
    <p v-if="apart.length" class="soft">
      Told apart by you: <template v-for="(one, i) in apart" :key="one.promptId"><template v-if="i">, </template><RouterLink :to="`/desk/${one.promptId}`">{{ one.title }}</RouterLink> <v-btn variant="text" :aria-label="`Let the words say again whether ${one.title} is the same`" @click="say(one, null)">Undo</v-btn></template>
    </p>
  </div>
</template>

<style scoped>
li {
  display: flex;
  gap: 14px;
  align-items: baseline;
}
li > span {
  flex: 0 1 auto;
}
button {
  flex: none;
}
</style>
