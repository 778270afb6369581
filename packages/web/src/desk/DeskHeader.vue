<script setup lang="ts">
import type { Prompt, Status, TagCount } from '@idolon/contract'
import { mdiRedo, mdiUndo } from '@mdi/js'
import { computed } from 'vue'
import type { Act } from '../shared/act.ts'
import ActsMenu from '../shared/ActsMenu.vue'
import SavedText from '../shared/SavedText.vue'
import TagField from '../shared/TagField.vue'
import { useProjects } from '../stores/projects.ts'
import type { DraftSession } from './draft-session.ts'
import type { PromptChange } from './prompt-facts.ts'
import SaveNote from './SaveNote.vue'

/** What the prompt is called and how it stands, and the menu of what is done with it as a whole. */
const props = defineProps<{ known: Prompt; title: string; tags: TagCount[]; session: DraftSession; acts: readonly Act[] }>()
const emit = defineEmits<{ change: [change: PromptChange]; restore: []; unmerge: [] }>()
const projects = useProjects()
const project = computed(() => projects.byId(props.known.projectId))
const provenWithoutKeeper = computed(() => props.known.status === 'proven' && props.known.keepers === 0)
const STATUSES: readonly Status[] = ['rough', 'testing', 'proven', 'retired']
</script>

<template>
  <header>
    <h1 class="visually-hidden">{{ title }}</h1>
    <div class="line">
      <SavedText class="title" :value="known.named ? known.title : ''" :placeholder="title" label="Title" :maxlength="200" @save="emit('change', { title: $event })" />
      <SaveNote :session="session" />
      <v-btn v-tooltip="'Undo (Ctrl Z)'" variant="text" size="small" :icon="mdiUndo" aria-label="Undo" :disabled="!session.canUndo.value" @click="session.undo" />
      <v-btn v-tooltip="'Redo (Ctrl Shift Z)'" variant="text" size="small" :icon="mdiRedo" aria-label="Redo" :disabled="!session.canRedo.value" @click="session.redo" />
      <ActsMenu label="This prompt" :acts="acts" />
    </div>
    <div class="line about">
      <RouterLink v-if="project" :to="`/projects/${project.id}`">{{ project.name }}</RouterLink>
      <v-select class="status" label="Status" :model-value="known.status" :items="STATUSES" @update:model-value="emit('change', { status: $event as Status })" />
      <TagField class="tags" :tags="known.tags" :known="tags" @change="emit('change', { tags: $event })" />
    </div>
    <p v-if="provenWithoutKeeper" class="soft">Proven, without a keeper yet.</p>
    <v-alert v-if="known.deletedAt" type="warning" variant="outlined" density="compact">This prompt is in the bin. <template #append><v-btn size="small" @click="emit('restore')">Restore</v-btn></template></v-alert>
    <v-alert v-if="known.mergedInto" type="info" variant="outlined" density="compact">This prompt is merged into <RouterLink :to="`/desk/${known.mergedInto.id}`">{{ known.mergedInto.title }}</RouterLink>, where what it has shown counts. <template #append><v-btn size="small" @click="emit('unmerge')">Remove from the merge</v-btn></template></v-alert>
    <p v-if="known.template" class="soft">
      Made from <RouterLink :to="`/shelf/templates/${known.template.id}`">{{ known.template.name }}</RouterLink><template v-if="known.template.behind">, which has changed since: <RouterLink :to="`/shelf/templates/${known.template.id}`">see what it offers</RouterLink></template>
    </p>
    <p v-if="known.copiedFrom" class="soft">
      <template v-if="known.draft.kind === 'change'">Says how to change a picture of</template><template v-else>From</template> <RouterLink :to="`/desk/${known.copiedFrom.promptId}`">{{ known.copiedFrom.title }}</RouterLink><template v-if="known.copiedFrom.version">, version {{ known.copiedFrom.version }}</template>
    </p>
  </header>
</template>

<style scoped>
header {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 9px;
}
.line {
  display: flex;
  gap: 8px;
  align-items: center;
}
.title {
  flex: 1;
}
.about {
  gap: 14px;
}
.about > a {
  white-space: nowrap;
}
.status {
  flex: 0 0 118px;
}
.tags {
  flex: 1;
}
</style>
