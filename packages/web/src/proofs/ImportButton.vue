<script setup lang="ts">
import { mdiImport } from '@mdi/js'
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import { importWithoutPrompt } from './import-pictures.ts'
import { PICTURES } from './upload.ts'
import { usePickFiles } from '../shared/pick-files.ts'

/** Takes in pictures that no prompt here made. */
const projects = useProjects()
const notices = useNotices()
const router = useRouter()
const task = useTask()
const busy = ref(0)
const importFiles = (files: File[]) =>
  task(async () => {
    busy.value = files.length
    try {
      const { promptId, refused } = await importWithoutPrompt((await projects.currentOrFirst()).id, files)
      for (const line of refused.slice(0, 3)) notices.show(line, { problem: true })
      if (!promptId) return
      notices.show(`${counted(files.length - refused.length, 'picture')} imported, as a prompt of its own in ${projects.current?.name ?? 'the project'}.`)
      await router.push(`/desk/${promptId}`)
    } finally {
      busy.value = 0
    }
  })
const pick = usePickFiles({ accept: PICTURES, multiple: true }, (files) => void importFiles(files))
</script>

<template>
  <v-btn v-tooltip="'Pictures made anywhere become a prompt of their own'" :prepend-icon="mdiImport" :loading="busy > 0" @click="pick()">Import pictures</v-btn>
</template>
