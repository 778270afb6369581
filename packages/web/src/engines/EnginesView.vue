<script setup lang="ts">
import { mdiContentDuplicate, mdiExport, mdiImport, mdiPencilOutline } from '@mdi/js'
import type { Engine } from '@idolon/contract'
import { type EngineProfile, readProfile, SHIPPED_ENGINES } from '@idolon/core'
import { computed, shallowRef } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useNotices, useTask } from '../notices/notices.ts'
import { download, fileName } from '../shared/download.ts'
import { counted } from '../shared/said.ts'
import { useEngines } from '../stores/engines.ts'
import EngineConnection from './EngineConnection.vue'
import ModelsSection from './ModelsSection.vue'
import ProfileForm from './ProfileForm.vue'
import { profileRows, settingRows } from './profile-words.ts'
import { JSON_FILES, usePickFiles } from '../shared/pick-files.ts'

/** The engines prompts are written for: how each reads, what it takes and costs. */
const route = useRoute()
const router = useRouter()
const engines = useEngines()
const notices = useNotices()
const task = useTask()
/** The profile that is being written; a copy under a new name where it is new. */
const writing = shallowRef<{ profile: EngineProfile; isNew: boolean }>()

const keyOf = ({ profile }: Engine) => `${profile.id}|${profile.revision}`
const engine = computed(() => engines.all.find((one) => keyOf(one) === route.query['engine']) ?? engines.all[0])
const choose = (key: string) => {
  writing.value = undefined
  void router.replace({ query: { engine: key } })
}
/** “, 12 made, usually in 0.9 s”: what stands beside an engine's name. */
function madeSoFar({ usage: { stored, failed, medianMs } }: Engine): string {
  if (stored + failed === 0) return ''
  return `, ${stored} made${medianMs === null ? '' : `, usually in ${(medianMs / 1000).toFixed(1)} s`}${failed ? `, ${failed} failed` : ''}`
}
const SETTING_HEADERS = [{ title: 'Name', key: 'label', cellProps: { role: 'rowheader' } }, { title: 'Takes', key: 'takes', sortable: false }, { title: 'Usually', key: 'default', sortable: false }, { title: 'What it does', key: 'says', sortable: false }]
const SIZE_HEADERS = [{ title: 'Aspect ratio', key: 'aspectRatio', cellProps: { role: 'rowheader' } }, { title: 'Pixels', key: 'width' }, { title: 'One picture', key: 'cost', align: 'end' }] as const
const ORIGINS: Record<Engine['origin'], string> = { shipped: 'ships with Idolon', changed: 'ships with Idolon, changed by you', own: 'added by you' }

const save = (profile: EngineProfile) =>
  task(async () => {
    await engines.save(profile)
    choose(`${profile.id}|${profile.revision}`)
    notices.show(`${profile.name} ${profile.revision} is saved.`)
  })
const remove = ({ profile, origin }: Engine) =>
  task(async () => {
    await engines.remove(profile)
    if (origin === 'own') choose('')
    notices.show(origin === 'own' ? `${profile.name} is removed.` : `${profile.name} is as it ships.`, { action: { label: 'Undo', run: () => void save(profile) } })
  })
const takeOut = ({ profile }: Engine) => download(fileName(`${profile.name} ${profile.revision}`, 'json'), `${JSON.stringify(profile, null, 2)}\n`)
const blank = (): EngineProfile => ({ ...structuredClone(SHIPPED_ENGINES[0]!), id: '', name: '', revision: '1', simulated: false, honoursIdempotencyKey: false, notes: '' })
const copyOf = ({ profile }: Engine): EngineProfile => ({ ...structuredClone(profile), id: `${profile.id}-copy`, name: `${profile.name} copy`, simulated: false })

const pickFile = usePickFiles({ accept: JSON_FILES }, ([given]) => void (given && importFile(given)))
async function importFile(given: File): Promise<void> {
  const text = await given.text()
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    notices.show(`${given.name} is no JSON file. Nothing was imported.`, { problem: true })
    return
  }
  const read = readProfile(value)
  if ('problems' in read) {
    const [first, ...rest] = read.problems
    notices.show(`${given.name}, ${first!.at}: ${first!.says}${rest.length ? ` And ${rest.length} more.` : ''} Nothing was imported.`, { problem: true })
    return
  }
  await save(read.profile)
}
</script>

<template>
  <main class="page engines">
    <header>
      <h1 class="view-title">Engines <span class="scope">for all projects</span></h1>
      <p class="finding">
        <v-btn color="primary" variant="flat" @click="writing = { profile: blank(), isNew: true }">Add an engine</v-btn>
        <v-btn :prepend-icon="mdiImport" @click="pickFile()">Import a profile</v-btn>
      </p>
    </header>
    <div class="columns">
      <ul aria-label="Engines">
        <li v-for="one in engines.all" :key="keyOf(one)">
          <v-btn variant="text" :aria-current="one === engine && !writing?.isNew ? 'true' : undefined" class="choice tall lines" @click="choose(keyOf(one))"><span class="name">{{ one.profile.name }} <span class="soft">{{ one.profile.revision }}</span></span><span class="soft">{{ one.off ? 'switched off' : one.profile.simulated ? 'simulated' : one.connected ? 'connected' : 'written for, not connected' }}{{ madeSoFar(one) }}</span></v-btn>
        </li>
      </ul>
      <ProfileForm v-if="writing" :key="writing.profile.id" :profile="writing.profile" :is-new="writing.isNew" @save="save" @cancel="writing = undefined" />
      <article v-else-if="engine" class="profile">
        <h2 class="titled">{{ engine.profile.name }} {{ engine.profile.revision }} <span class="soft">{{ ORIGINS[engine.origin] }}</span></h2>
        <p v-if="engine.profile.simulated" class="soft">Simulated: its pictures are drawn here, by rule, and marked as such.</p>
        <p v-else-if="!engine.connected && !engine.off" class="soft">Not connected: the Desk writes for it and shows its output to copy; it cannot be asked for pictures from here.</p>
        <p class="notes">{{ engine.profile.notes }}</p>
        <dl>
          <template v-for="row in profileRows(engine.profile)" :key="row.name"><dt>{{ row.name }}</dt><dd>{{ row.says }}</dd></template>
        </dl>
        <EngineConnection :key="keyOf(engine)" :engine="engine" />
        <section v-if="engine.profile.settings.length" aria-labelledby="settings">
          <h3 id="settings">Settings</h3>
          <v-data-table :headers="SETTING_HEADERS" :items="settingRows(engine.profile)" item-value="key" />
        </section>
        <section aria-labelledby="sizes">
          <h3 id="sizes">Sizes</h3>
          <v-data-table :headers="SIZE_HEADERS" :items="[...engine.profile.sizes]" item-value="aspectRatio">
            <template #item.width="{ item }">{{ item.width }} by {{ item.height }}</template>
            <template #item.cost="{ item }">{{ counted(item.cost, engine.profile.costUnit) }}</template>
          </v-data-table>
        </section>
        <p class="row-actions">
          <v-btn :prepend-icon="mdiPencilOutline" @click="writing = { profile: engine.profile, isNew: false }">Edit the profile</v-btn>
          <v-btn :prepend-icon="mdiExport" @click="takeOut(engine)">Export as JSON</v-btn>
          <v-btn :prepend-icon="mdiContentDuplicate" @click="writing = { profile: copyOf(engine), isNew: true }">Copy as a new engine</v-btn>
          <v-btn v-if="engine.origin !== 'shipped'" variant="text" @click="remove(engine)">{{ engine.origin === 'own' ? 'Remove it' : 'Reset to what ships' }}</v-btn>
        </p>
      </article>
      <v-skeleton-loader v-else-if="engines.all.length === 0" type="heading, paragraph@2, table-tbody" />
    </div>
    <ModelsSection />
  </main>
</template>

<style scoped>
.engines {
  display: grid;
  gap: 12px;
}
.columns {
  display: grid;
  grid-template-columns: 236px minmax(0, 760px);
  gap: 34px;
  align-items: start;
}
.profile {
  display: grid;
  gap: 14px;
}
.notes {
  font-family: var(--serif);
  font-size: 16px;
  max-width: 64ch;
}
dl {
  display: grid;
  grid-template-columns: 110px 1fr;
  gap: 3px 10px;
  margin: 0;
}
dt {
  font-size: 13px;
  color: var(--soft);
}
dd {
  margin: 0;
}
</style>
