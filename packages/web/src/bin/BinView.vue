<script setup lang="ts">
import { type BinEntry, type BinKind, listBin, restoreFromBin, deleteForGood } from '@idolon/contract'
import { computed, ref } from 'vue'
import { call } from '../api/call.ts'
import { usePageData } from '../api/page-data.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted, sayExactly, sayWhen } from '../shared/said.ts'
import { useNow } from '../shared/use-now.ts'

const KINDS: Record<BinKind, string> = { prompt: 'prompts', proof: 'proofs', phrase: 'phrases', term: 'terms', engine: 'engines', model: 'models', helper: 'helpers', reference: 'references', template: 'templates', 'writing-style': 'writing styles', part: 'characters, places, styles', series: 'series', scene: 'scenes' }
const ONE: Record<BinKind, string> = { prompt: 'Prompt', proof: 'Proof', phrase: 'Phrase', term: 'Term', engine: 'Engine', model: 'Model', helper: 'Helper', reference: 'Reference', template: 'Template', 'writing-style': 'Writing style', part: 'Character, place or style', series: 'Series', scene: 'Scene' }
const notices = useNotices()
const task = useTask()
const now = useNow()
const kind = ref<BinKind | ''>('')

const { data: entries, loading, load } = usePageData({ key: () => ['bin'], read: (signal) => call(listBin, { signal }), on: ({ kind: of }) => of === 'bin' || of === 'prompt' })
const shown = computed(() => (entries.value ?? []).filter((entry) => !kind.value || entry.kind === kind.value))
const removable = computed(() => shown.value.filter((entry) => entry.removable))
const back = ({ kind: of, id, name }: BinEntry) =>
  task(async () => {
    await call(restoreFromBin, { params: { kind: of, id } })
    notices.show(`“${name}” is back.`)
    await load()
  })
const asking = ref<BinEntry[]>([])
const remove = () =>
  task(async () => {
    const list = asking.value
    asking.value = []
    for (const { kind: of, id } of list) await call(deleteForGood, { params: { kind: of, id } })
    notices.show(`${counted(list.length, 'thing')} deleted for good. What was spent on them stays in the ledger.`)
    await load()
  })
</script>

<template>
  <main class="page">
    <h1 class="view-title">Bin</h1>
    <div class="finding">
      <v-select v-model="kind" label="Kind" :items="[{ title: 'everything', value: '' }, ...Object.entries(KINDS).map(([key, name]) => ({ title: name, value: key }))]" />
      <span class="soft" role="status">{{ entries ? counted(shown.length, 'thing') : 'Looking …' }}</span>
      <v-btn v-if="removable.length" @click="asking = removable">Delete {{ counted(removable.length, 'old one') }} for good</v-btn>
    </div>
    <p class="soft">What is deleted stays here for 30 days at least, and after that until you delete it for good.</p>
    <v-skeleton-loader v-if="loading" type="list-item-avatar-two-line@4" />
    <ul>
      <li v-for="entry in shown" :key="entry.id">
        <img v-if="entry.picture" :src="`/api/pictures/${entry.picture}/thumbnail`" alt="" loading="lazy" />
        <span v-else class="none" />
        <span class="what"><span class="name" :title="entry.name">{{ entry.name }}</span><span class="soft">{{ ONE[entry.kind] }}{{ entry.project ? ` of ${entry.project}` : '' }}, <time :datetime="entry.deletedAt" :title="sayExactly(entry.deletedAt)">{{ sayWhen(entry.deletedAt, now) }}</time></span></span>
        <v-btn @click="back(entry)">Restore</v-btn>
        <v-btn v-if="entry.removable" variant="text" @click="asking = [entry]">Delete for good</v-btn>
      </li>
    </ul>
    <p v-if="entries && shown.length === 0">{{ entries.length ? 'The bin has none of that kind.' : 'The bin is empty.' }}</p>
    <v-dialog :model-value="asking.length > 0" max-width="460" aria-labelledby="remove-title" @update:model-value="asking = []">
      <div class="dialog ask">
        <h2 id="remove-title">Delete {{ asking.length === 1 ? `“${asking[0]!.name}”` : counted(asking.length, 'thing') }} for good?</h2>
        <p>Words and pictures are then gone. What was spent stays in the ledger.</p>
        <p class="row-actions"><v-btn color="primary" variant="flat" @click="remove">Delete for good</v-btn><v-btn variant="text" @click="asking = []">Cancel</v-btn></p>
      </div>
    </v-dialog>
  </main>
</template>

<style scoped>
ul {
  margin-top: 14px;
}
li {
  display: flex;
  gap: 16px;
  align-items: center;
  padding: 8px 0;
  border-top: 1px solid var(--rule);
}
img,
.none {
  flex: none;
  width: 66px;
  height: 44px;
  object-fit: cover;
  background: var(--wash);
}
.what {
  display: grid;
  flex: 1;
  min-width: 0;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.ask {
  display: grid;
  gap: 12px;
}
</style>
