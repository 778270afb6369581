<script setup lang="ts">
import { addComments, type ClientSheet, listClientSheets, makeClientSheet, type SheetProof } from '@idolon/contract'
import type { Caption } from '@idolon/core'
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { SaidError } from '../api/problem.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted, sayExactly } from '../shared/said.ts'
import { sheetPng, keepersZip } from './client-files.ts'
import { save } from '../shared/download.ts'

/** Proofs as they go out to a client: a numbered sheet as PNG or PDF, the pictures as named files; and comments that come back by number. */
const open = defineModel<boolean>({ required: true })
const props = defineProps<{ proofs: SheetProof[] }>()
const CAPTIONS: Record<Caption, string> = { title: 'title', version: 'version', engine: 'engine', seed: 'seed', verdict: 'verdict', note: 'note' }
const MOST = 200
const notices = useNotices()
const task = useTask()
const captions = useLocalStorage<Caption[]>('idolon.client-captions', ['title'])
const prompts = useLocalStorage('idolon.client-prompts', false)
const pictured = computed(() => props.proofs.filter(({ picture }) => picture))
const title = ref(pictured.value[0]?.promptTitle ?? 'Proofs')
const busy = ref('')
const { data, put } = usePageData({ key: () => ['client sheets'], read: (signal) => call(listClientSheets, { signal }) })
const sheets = computed(() => data.value ?? [])
const about = ref('')
const comments = ref('')
const unplaced = ref<string[]>([])

/** Kept on the server first, so that the numbers mean the same when comments come back. */
const keep = async (): Promise<ClientSheet> => {
  const sheet = await call(makeClientSheet, { body: { id: crypto.randomUUID(), title: title.value.trim(), proofs: pictured.value.map(({ id }) => id), captions: captions.value, prompts: prompts.value } })
  put([sheet, ...sheets.value])
  about.value = sheet.id
  return sheet
}
const make = (what: string, run: () => Promise<void>) =>
  task(async () => {
    busy.value = what
    try {
      await run()
    } finally {
      busy.value = ''
    }
  })
const png = () => make('png', async () => save(`${title.value || 'proofs'}.png`, await sheetPng(await keep(), pictured.value)))
const pdf = () =>
  make('pdf', async () => {
    const { id } = await keep()
    const response = await fetch(`/api/client-sheets/${id}.pdf`)
    if (!response.ok) throw new SaidError('The PDF could not be made. Nothing is lost. Try again.')
    save(`${title.value || 'proofs'}.pdf`, await response.blob())
  })
const files = () => make('zip', async () => save(`${title.value || 'proofs'}.zip`, await keepersZip(pictured.value)))
const takeComments = () =>
  task(async () => {
    const { added, unplaced: left } = await call(addComments, { params: { sheet: about.value }, body: { text: comments.value } })
    unplaced.value = left
    comments.value = left.join('\n')
    notices.show(`${counted(added, 'comment')} added to the notes.`)
  })
</script>

<template>
  <v-dialog v-model="open" max-width="680" aria-labelledby="client-title">
    <div class="dialog client">
      <h1 id="client-title">For a client</h1>
      <p v-if="pictured.length > MOST" class="soft">A sheet holds {{ MOST }} pictures; {{ pictured.length }} are selected.</p>
      <v-text-field v-model="title" label="Title of the sheet" maxlength="200" />
      <fieldset>
        <legend class="soft">Under each picture, after its number</legend>
        <v-checkbox v-for="(name, caption) in CAPTIONS" :key="caption" v-model="captions" :label="name" :value="caption" />
        <v-checkbox v-model="prompts" label="the whole prompt" />
      </fieldset>
      <p class="row-actions">
        <v-btn color="primary" variant="flat" :disabled="busy !== '' || pictured.length > MOST" @click="pdf">{{ busy === 'pdf' ? 'Making …' : `PDF of ${counted(pictured.length, 'picture')}` }}</v-btn>
        <v-btn :disabled="busy !== '' || pictured.length > MOST" @click="png">{{ busy === 'png' ? 'Making …' : 'PNG' }}</v-btn>
        <v-btn :disabled="busy !== ''" @click="files">{{ busy === 'zip' ? 'Collecting …' : 'The pictures as named files' }}</v-btn>
        <v-btn variant="text" @click="open = false">Close</v-btn>
      </p>
      <section v-if="sheets.length" class="back">
        <h2>Comments that came back</h2>
        <v-select v-model="about" label="On which sheet" :items="[{ title: 'choose one', value: '' }, ...sheets.map((sheet) => ({ title: `${sheet.title}, ${counted(sheet.proofs.length, 'picture')}, ${sayExactly(sheet.madeAt)}`, value: sheet.id }))]" />
        <v-textarea v-model="comments" label="By number, a line each" rows="4" placeholder="3: darker&#10;1 and 4: fine" auto-grow />
        <p v-if="unplaced.length" class="unplaced">{{ counted(unplaced.length, 'line') }} had no number of this sheet and stay above.</p>
        <p><v-btn :disabled="!about || !comments.trim()" @click="takeComments">Add to the notes</v-btn></p>
      </section>
    </div>
  </v-dialog>
</template>

<style scoped>
.client,
.back {
  display: grid;
  gap: 12px;
}
.back {
  padding-top: 12px;
  border-top: 1px solid var(--rule);
}
fieldset {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  border: 0;
  margin: 0;
  padding: 0;
}
legend {
  font-size: 12px;
}
.unplaced {
  color: var(--accent);
}
</style>
