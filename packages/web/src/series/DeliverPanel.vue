<script setup lang="ts">
import { computed, ref } from 'vue'
import { onChange } from '../api/changes.ts'
import { refusalOf } from '../api/problem.ts'
import { useTask } from '../notices/notices.ts'
import { save } from '../shared/download.ts'
import type { OpenSeries } from './use-series.ts'

/** What goes out of a series: lists, books and sheets to print, the animatic, the pictures with where they come from. */
const props = defineProps<{ open: OpenSeries }>()
const task = useTask()
const KINDS = [
  { what: 'shots.csv', title: 'Shot list as CSV', says: 'A scene a line: what happens, who, where, when, framing, movement, time, caption, prompt.' },
  { what: 'shots.pdf', title: 'Shot list as PDF', says: 'The same with pictures, to print.' },
  { what: 'book.pdf', title: 'Book of prompts', says: 'A printed page a scene: its picture, its words, what made it.' },
  { what: 'contact.pdf', title: 'Contact sheet as PDF', says: 'All chosen proofs, numbered.' },
  { what: 'contact.png', title: 'Contact sheet as PNG', says: 'The same as one picture.' },
  { what: 'animatic.html', title: 'Animatic', says: 'One file that plays by itself in any browser, without a connection.' },
  { what: 'captions.vtt', title: 'Captions', says: 'In their time, as WebVTT.' },
  { what: 'pictures.zip', title: 'Pictures', says: 'Named by scene, each with where it comes from written into it and beside it. In a ratio that no proof was made in, the chosen one is cut.' },
] as const
const RATIOS = ['1:1', '4:5', '3:2', '16:9', '9:16'] as const
const ratios = ref<string[]>([])
const busy = ref<{ what: string; id: string; done: number; of: number }>()
let stopping: AbortController | undefined
onChange((event) => {
  const now = busy.value
  if (event !== 'reset' && event.kind === 'delivery' && now && event.deliveryId === now.id) busy.value = { ...now, done: event.done ?? 0, of: event.of ?? 0 }
})
const missing = computed(() => props.open.series.value?.scenes.filter(({ chosen }) => !chosen).length ?? 0)
async function deliver(what: string): Promise<void> {
  const series = props.open.series.value!
  const id = crypto.randomUUID()
  busy.value = { what, id, done: 0, of: 0 }
  stopping = new AbortController()
  const { signal } = stopping
  await task(async () => {
    const query = new URLSearchParams({ delivery: id, ...(what === 'pictures.zip' && ratios.value.length ? { ratios: ratios.value.join(',') } : {}) })
    try {
      const response = await fetch(`/api/series/${series.id}/delivery/${what}?${query.toString()}`, { signal })
      if (!response.ok) throw refusalOf(await response.json().catch(() => undefined), 'The server does not answer. Nothing was lost; try again.')
      const name = /filename\*=UTF-8''([^;]+)/.exec(response.headers.get('content-disposition') ?? '')?.[1]
      const plain = /filename="([^"]+)"/.exec(response.headers.get('content-disposition') ?? '')?.[1]
      save(name ? decodeURIComponent(name) : (plain ?? what), await response.blob())
    } catch (error) {
      if ((error as Error).name !== 'AbortError') throw error
    }
  })
  busy.value = undefined
}
</script>

<template>
  <section class="deliver" aria-label="Deliver">
    <p v-if="missing" class="soft">{{ missing }} of the scenes have no chosen proof; they go out without a picture.</p>
    <ul>
      <li v-for="one in KINDS" :key="one.what">
        <v-btn variant="text" :disabled="busy !== undefined" @click="deliver(one.what)">{{ one.title }}</v-btn>
        <span class="soft">{{ one.says }}</span>
        <span v-if="one.what === 'pictures.zip'" class="row-actions"><span class="soft">Also in</span><v-checkbox v-for="ratio in RATIOS" :key="ratio" v-model="ratios" :label="ratio" :value="ratio" /></span>
        <span v-if="busy?.what === one.what" role="status" class="row-actions"><v-progress-linear :max="busy.of || 1" :model-value="busy.done" aria-label="Scenes done" /> <span>{{ busy.of ? `${busy.done} of ${busy.of} scenes` : 'Beginning …' }}</span><v-btn variant="text" @click="stopping?.abort()">Stop</v-btn></span>
      </li>
      <li v-if="open.series.value?.scenes.length"><a class="strong" :href="`/api/shelf.bundle.zip?ids=${open.series.value.scenes.map(({ promptId }) => promptId).join(',')}`" download>Bundle</a> <span class="soft">All of it, with its story, parts, versions and proofs, for another Idolon to open.</span></li>
    </ul>
  </section>
</template>

<style scoped>
.deliver {
  display: grid;
  gap: 10px;
}
li {
  display: grid;
  gap: 2px;
  justify-items: start;
  padding: 7px 0;
  border-top: 1px solid var(--rule);
}
li .soft {
  font-size: 13px;
}
</style>
