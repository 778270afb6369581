<script setup lang="ts">
import { ref, watch } from 'vue'
import { useTask } from '../notices/notices.ts'
import { useNewPrompt } from '../prompts/new-prompt.ts'
import { useProjects } from '../stores/projects.ts'
import { needed } from '../shared/field-rules.ts'

/** Takes a prompt, with its engine and settings, into this or another project. */
const props = defineProps<{ promptId: string; versionId?: string | undefined; title: string }>()
const open = defineModel<boolean>({ required: true })
const projects = useProjects()
const { fromPrompt } = useNewPrompt()
const task = useTask()
const NEW = 'new'
const target = ref('')
const name = ref('')
watch(open, (now) => {
  if (now) target.value = projects.current?.id ?? NEW
}, { immediate: true })

const go = () =>
  task(async () => {
    const id = target.value === NEW ? (await projects.create(name.value.trim())).id : target.value
    open.value = false
    projects.chosen = id
    await fromPrompt(props.promptId, id, props.versionId)
  })
</script>

<template>
  <v-dialog v-model="open" max-width="520" aria-labelledby="reuse-title">
    <form class="dialog reuse" @submit.prevent="go">
      <h1 id="reuse-title">Use again</h1>
      <p>“{{ title }}” becomes a new prompt, with its text, leave-out list, tags, engine and settings. It remembers where it came from.</p>
      <v-select v-model="target" label="In which project" :items="[...projects.open.map((project) => ({ title: project.name, value: project.id })), { title: 'A new project …', value: NEW }]" />
      <v-text-field v-if="target === NEW" v-model="name" label="Its name" maxlength="120" :rules="[needed]" />
      <p class="row-actions">
        <v-btn color="primary" variant="flat" type="submit" :disabled="target === NEW && !name.trim()">Use it there</v-btn>
        <v-btn @click="open = false">Cancel</v-btn>
      </p>
    </form>
  </v-dialog>
</template>

<style scoped>
.reuse {
  display: grid;
  gap: 14px;
}
</style>
