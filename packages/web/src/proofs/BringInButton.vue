<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import { useProjects } from '../stores/projects.ts'
import { bringInFromNowhere } from './bring-in.ts'
import { PICTURES } from './upload.ts'

/** Takes in pictures that no prompt here made. */
const projects = useProjects()
const notices = useNotices()
const router = useRouter()
const task = useTask()
const busy = ref(0)
const choose = (event: Event) =>
  task(async () => {
    const input = event.target as HTMLInputElement
    const files = [...(input.files ?? [])]
    input.value = ''
    if (files.length === 0) return
    busy.value = files.length
    try {
      const { promptId, refused } = await bringInFromNowhere((await projects.currentOrFirst()).id, files)
      for (const line of refused.slice(0, 3)) notices.show(line, { problem: true })
      if (!promptId) return
      notices.show(`${counted(files.length - refused.length, 'picture')} brought in, as a prompt of its own in ${projects.current?.name ?? 'the project'}.`)
      await router.push(`/desk/${promptId}`)
    } finally {
      busy.value = 0
    }
  })
</script>

<template>
  <label class="plain bring" title="Pictures made anywhere become a prompt of their own">{{ busy ? `${counted(busy, 'picture')} on the way …` : 'Bring in pictures' }}<input type="file" class="visually-hidden" multiple :accept="PICTURES" @change="choose" /></label>
</template>

<style scoped>
.bring:focus-within {
  outline: 2px solid var(--accent);
  outline-offset: 2px;
}
</style>
