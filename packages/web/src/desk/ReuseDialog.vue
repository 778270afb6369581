<script setup lang="ts">
import { ref, watch } from 'vue'
import { useTask } from '../notices/notices.ts'
import { useNewPrompt } from '../prompts/new-prompt.ts'
import { useProjects } from '../stores/projects.ts'

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
})

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
      <label class="labelled">
        <span>In which project</span>
        <select v-model="target" class="field">
          <option v-for="project in projects.open" :key="project.id" :value="project.id">{{ project.name }}</option>
          <option :value="NEW">A new project …</option>
        </select>
      </label>
      <label v-if="target === NEW" class="labelled"><span>Its name</span><input v-model="name" class="field" maxlength="120" required /></label>
      <p class="row-actions">
        <button class="do" type="submit" :disabled="target === NEW && !name.trim()">Use it there</button>
        <button class="quiet" type="button" @click="open = false">Cancel</button>
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
