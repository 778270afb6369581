<script setup lang="ts">
import { mdiContentDuplicate, mdiExport, mdiImport, mdiPencilOutline } from '@mdi/js'
import { addHelpers, changeHelper, deleteHelper, type Helper, type HelperExport, type HelperVersion, type HelperWhole, restoreFromBin, readHelper, saveHelperVersion } from '@idolon/contract'
import { inPresentWords } from '@idolon/core'
import type { HelperBody } from '@idolon/core/helper'
import { computed, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { hasShape } from '../api/shapes.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { download, fileName } from '../shared/download.ts'
import { counted } from '../shared/said.ts'
import { useEngines } from '../stores/engines.ts'
import { useHelpers } from '../stores/helpers.ts'
import { useModels } from '../stores/models.ts'
import CaseSection from './CaseSection.vue'
import HelperEditor from './HelperEditor.vue'
import HelperVersions from './HelperVersions.vue'
import { JSON_FILES, usePickFiles } from '../shared/pick-files.ts'

/** The instructions to language models: what each is told, its versions, and how well it does on its cases. */
const route = useRoute()
const router = useRouter()
const helpers = useHelpers()
const notices = useNotices()
const task = useTask()
void Promise.all([helpers.load(), useModels().load(), useEngines().load()])
const writing = shallowRef<{ body: HelperBody; isNew: boolean }>()
const id = computed(() => String(route.params['helper'] ?? '') || helpers.all[0]?.id)

const { data: whole, loading, put } = usePageData({
  key: () => (id.value ? ['helper', id.value] : undefined),
  read: (signal) => call(readHelper, { params: { helper: id.value! }, signal }),
  on: ({ kind }) => kind === 'helpers',
})
watch(() => route.params['helper'], () => (writing.value = undefined))
const BLANK: HelperBody = { name: '', does: '', instruction: 'Change this prompt.\n\n{{ prompt }}\n\nNo praise, no lead-in, no settings.', answer: 'prompt', inputs: [], examples: [], model: null, temperature: 0.7, tags: [] }

const save = (body: HelperBody, why: string, use: boolean) =>
  task(async () => {
    if (writing.value?.isNew) {
      const [made] = await call(addHelpers, { body: { format: 'idolon-helpers-1', helpers: [{ body, why, cases: [] }] } })
      await helpers.read()
      writing.value = undefined
      if (made) await router.push(`/helpers/${made.id}`)
      return
    }
    if (!whole.value) return
    const saved = await call(saveHelperVersion, { params: { helper: whole.value.helper.id }, body: { body, why, use } })
    put(saved)
    writing.value = undefined
    await helpers.read()
    notices.show(`Version ${saved.versions[0]?.number} is saved${use ? ' and used from now on' : ''}. Its cases say whether it is better.`)
  })
const use = (version: HelperVersion) =>
  task(async () => {
    const before = whole.value?.helper
    if (!before) return
    put(await call(changeHelper, { params: { helper: before.id }, body: { current: version.number } }))
    await helpers.read()
    notices.show(`Version ${version.number} is used from now on.`, { action: { label: 'Undo', run: () => void task(async () => put(await call(changeHelper, { params: { helper: before.id }, body: { current: before.current } }))) } })
  })
const sayWhy = (number: number, text: string) => task(async () => whole.value && put(await call(changeHelper, { params: { helper: whole.value.helper.id }, body: { why: { number, text } } })))
const exportOf = (one: HelperWhole): HelperExport => ({ format: 'idolon-helpers-1', helpers: [{ body: one.helper.body, why: one.versions.find(({ number }) => number === one.helper.current)?.why ?? '', cases: one.cases.map((saved) => saved.case) }] })
const takeOut = (one: HelperWhole) => download(fileName(one.helper.body.name, 'json'), `${JSON.stringify(exportOf(one), null, 2)}\n`)
const add = (given: HelperExport) =>
  task(async () => {
    const made = await call(addHelpers, { body: given })
    await helpers.read()
    notices.show(`${counted(made.length, 'helper')} added: ${made.map(({ body }) => body.name).join(', ')}.`)
    if (made[0]) await router.push(`/helpers/${made[0].id}`)
  })
const copy = (one: HelperWhole) => {
  const given = exportOf(one)
  return add({ ...given, helpers: given.helpers.map((each) => ({ ...each, why: `A copy of ${one.helper.body.name}, version ${one.helper.current}.` })) })
}
const pickFile = usePickFiles({ accept: JSON_FILES }, ([given]) => void (given && importFile(given)))
async function importFile(given: File): Promise<void> {
  const text = await given.text()
  let value: unknown
  try {
    value = inPresentWords(JSON.parse(text))
  } catch {
    notices.show(`${given.name} is no JSON file. Nothing was imported.`, { problem: true })
    return
  }
  if (!(await hasShape('HelperExport', value))) {
    notices.show(`${given.name} holds no helpers as Idolon writes them. Nothing was imported.`, { problem: true })
    return
  }
  await add(value as HelperExport)
}
const back = (which: string) =>
  task(async () => {
    await call(restoreFromBin, { params: { kind: 'helper', id: which } })
    await helpers.read()
    await router.push(`/helpers/${which}`)
  })
const remove = ({ id: which, body }: Helper) =>
  task(async () => {
    await router.push('/helpers')
    await call(deleteHelper, { params: { helper: which } })
    await helpers.read()
    notices.show(`“${body.name}” is in the bin.`, { action: { label: 'Restore', run: () => void back(which) } })
  })
</script>

<template>
  <main class="page helpers">
    <header>
      <h1 class="view-title">Helpers <span class="scope">for all projects</span></h1>
      <p class="finding">
        <v-btn color="primary" variant="flat" @click="writing = { body: BLANK, isNew: true }">Add a helper</v-btn>
        <v-btn :prepend-icon="mdiImport" @click="pickFile()">Import helpers</v-btn>
      </p>
    </header>
    <div class="columns">
      <ul aria-label="Helpers">
        <li v-for="one in helpers.all" :key="one.id">
          <RouterLink class="choice tall" :to="`/helpers/${one.id}`" :aria-current="one.id === id && !writing?.isNew ? 'true' : undefined">
            <span class="name">{{ one.body.name }}</span>
            <span class="soft">{{ one.shipped ? '' : 'yours, ' }}version {{ one.current }}{{ one.versions > 1 ? ` of ${one.versions}` : '' }}, {{ counted(one.cases, 'case') }}</span>
          </RouterLink>
        </li>
      </ul>
      <HelperEditor v-if="writing" :body="writing.body" :is-new="writing.isNew" @save="save" @cancel="writing = undefined" />
      <article v-else-if="whole" class="helper">
        <h2 class="titled">{{ whole.helper.body.name }} <span class="soft">{{ whole.helper.shipped ? 'ships with Idolon' : 'yours' }}, version {{ whole.helper.current }}{{ whole.helper.body.tags.length ? `; ${whole.helper.body.tags.join(', ')}` : '' }}</span></h2>
        <p class="does">{{ whole.helper.body.does }}</p>
        <pre class="exact instruction" tabindex="0" aria-label="Instruction">{{ whole.helper.body.instruction }}</pre>
        <p class="row-actions">
          <v-btn :prepend-icon="mdiPencilOutline" @click="writing = { body: whole.helper.body, isNew: false }">Edit</v-btn>
          <v-btn :prepend-icon="mdiContentDuplicate" @click="copy(whole)">Copy</v-btn>
          <v-btn :prepend-icon="mdiExport" @click="takeOut(whole)">Export as JSON</v-btn>
          <v-btn v-if="!whole.helper.shipped" variant="text" @click="remove(whole.helper)">Delete</v-btn>
        </p>
        <CaseSection :key="whole.helper.id" :whole="whole" @changed="put" />
        <HelperVersions :whole="whole" @use="use" @why="sayWhy" />
      </article>
      <v-skeleton-loader v-else-if="loading" type="heading, paragraph@3" />
    </div>
  </main>
</template>

<style scoped>
.helpers {
  display: grid;
  gap: 12px;
}
.columns {
  display: grid;
  grid-template-columns: 200px minmax(0, 920px);
  gap: 30px;
  align-items: start;
}
.helper {
  display: grid;
  gap: 16px;
}
.does {
  font-family: var(--serif);
  font-size: 16px;
}
.instruction {
  max-height: 300px;
  overflow: auto;
  padding: 12px 14px;
  background: var(--sheet);
  border: 1px solid var(--rule);
}
</style>
