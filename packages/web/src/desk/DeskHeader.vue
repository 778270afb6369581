<script setup lang="ts">
import type { Prompt, Status, TagCount } from '@idolon/contract'
import { computed } from 'vue'
import SavedText from '../shared/SavedText.vue'
import TagField from '../shared/TagField.vue'
import { useProjects } from '../stores/projects.ts'
import type { DraftSession } from './draft-session.ts'
import type { PromptChange } from './prompt-facts.ts'
import SaveNote from './SaveNote.vue'

/** What the prompt is called and how it stands. */
const props = defineProps<{ known: Prompt; title: string; tags: TagCount[]; session: DraftSession }>()
const emit = defineEmits<{ change: [change: PromptChange]; putBack: []; takeOut: [] }>()
const projects = useProjects()
const project = computed(() => projects.byId(props.known.projectId))
const provenWithoutKeeper = computed(() => props.known.status === 'proven' && props.known.keepers === 0)
</script>

<template>
  <header>
    <h1 class="visually-hidden">{{ title }}</h1>
    <SavedText class="title" :value="known.named ? known.title : ''" :placeholder="title" label="Title" :maxlength="200" @save="emit('change', { title: $event })" />
    <p class="about">
      <RouterLink v-if="project" :to="`/projects/${project.id}`">{{ project.name }}</RouterLink>
      <v-select label="Status" :model-value="known.status" @update:model-value="emit('change', { status: $event as Status })" :items="['rough', 'testing', 'proven', 'retired']" class="status" />
      <span v-if="provenWithoutKeeper" class="soft">without a keeper yet</span>
      <TagField class="tags" :tags="known.tags" :known="tags" label="Tags" @change="emit('change', { tags: $event })" />
      <SaveNote :state="session.saveState.value" :saved-at="session.saver.savedAt.value" :kept-locally="session.saver.keptLocally.value" />
      <span class="undo">
        <v-btn variant="text" :disabled="!session.canUndo.value" @click="session.undo">Undo</v-btn>
        <v-btn variant="text" :disabled="!session.canRedo.value" @click="session.redo">Redo</v-btn>
      </span>
    </p>
    <p v-if="known.deletedAt" class="binned">This prompt is in the bin. <v-btn variant="text" @click="emit('putBack')">Restore</v-btn></p>
    <p v-if="known.mergedInto" class="binned">This prompt is merged into <RouterLink :to="`/desk/${known.mergedInto.id}`">{{ known.mergedInto.title }}</RouterLink>, where what it has shown counts. <v-btn variant="text" @click="emit('takeOut')">Take it out</v-btn></p>
    <p v-if="known.template" class="soft">
      Made from <RouterLink :to="`/shelf/templates/${known.template.id}`">{{ known.template.name }}</RouterLink><template v-if="known.template.behind">, which has changed since: <RouterLink :to="`/shelf/templates/${known.template.id}`">see what it offers</RouterLink></template>
    </p>
    <p v-if="known.copiedFrom" class="soft">
      <template v-if="known.draft.kind === 'change'">Says how to change a picture of</template><template v-else>From</template> <RouterLink :to="`/desk/${known.copiedFrom.promptId}`">{{ known.copiedFrom.title }}</RouterLink><template v-if="known.copiedFrom.version">, version {{ known.copiedFrom.version }}</template>
    </p>
  </header>
</template>

<style scoped>
.title {
  width: 100%;
  padding: 2px 4px;
  margin-left: -5px;
  border: 1px solid transparent;
  background: none;
  font-family: var(--serif);
  font-size: 24px;
  font-weight: 600;
}
.title::placeholder {
  color: var(--soft);
  font-weight: 400;
}
.title:hover,
.title:focus {
  border-color: var(--rule-strong);
}
.about {
  display: flex;
  gap: 12px;
  align-items: baseline;
}
.about > a {
  white-space: nowrap;
}
.tags {
  flex: 1;
}
select.status {
  height: auto;
  padding: 2px 4px;
}
.undo {
  display: flex;
  gap: 10px;
}
.binned {
  padding: 8px 12px;
  border-left: 3px solid var(--accent);
}
</style>
