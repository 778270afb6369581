<script setup lang="ts">
import { changeVersion, type Version } from '@idolon/contract'
import { type Draft, versionBodyOf, versionChanges } from '@idolon/core'
import { computed, ref } from 'vue'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import { counted, sayAmounts, sayExactly, sayWhen } from '../shared/said.ts'
import SavedText from '../shared/SavedText.vue'
import { settingLines } from '../shared/setting-words.ts'
import { useEngines } from '../stores/engines.ts'
import { useNow } from '../shared/use-now.ts'
import type { DraftSession } from './draft-session.ts'
import TakeFromVersion from './TakeFromVersion.vue'
import { faultsOf, madeOtherwise } from './version-words.ts'
import { versionTree } from './version-tree.ts'
import WordDiff from './WordDiff.vue'

const props = defineProps<{ versions: Version[]; draft: Draft; parent: number | null; session: DraftSession }>()
const emit = defineEmits<{ goOn: [version: Version]; use: [version: Version]; changed: [version: Version] }>()
const opened = ref<string>()
const now = useNow()
const task = useTask()
const engines = useEngines()

const parentVersion = computed(() => props.versions.find(({ number }) => number === props.parent))
const since = computed(() => (parentVersion.value ? versionChanges(parentVersion.value.body, versionBodyOf(props.draft)) : []))
const rows = computed(() => versionTree(props.versions, props.parent))
const byNumber = computed(() => new Map(props.versions.map((version) => [version.number, version])))
const changesOf = (version: Version) => {
  const parent = version.parent === null ? undefined : byNumber.value.get(version.parent)
  const made = parent ? madeOtherwise(parent, version) : []
  if (version.parent === null) return ['The first version', ...version.triedWith].join('; ')
  return [...version.changes, ...made].join('; ') || 'Nothing but settings'
}
const explain = (version: Version, why: string) =>
  task(async () => {
    emit('changed', await call(changeVersion, { params: { version: version.id }, body: { why }, keepalive: true }))
  })
</script>

<template>
  <section class="history" aria-label="History">
    <p v-if="versions.length === 0" class="soft">No versions yet. Each try freezes the draft as a version, unless nothing has changed since the last.</p>
    <p v-else-if="since.length" class="since">Since version {{ parent }}: {{ since.join('; ') }}</p>
    <p v-else class="soft">The draft stands as version {{ parent }}.</p>
    <ol>
      <li v-for="{ version, depth, branches } in rows" :key="version.id" :class="{ here: version.number === parent, branch: depth > 0 }" :style="{ marginLeft: `${Math.min(depth, 4) * 18}px` }">
        <v-btn variant="text" :aria-expanded="opened === version.id" class="line lines" @click="opened = opened === version.id ? undefined : version.id"><img v-if="version.bestProof?.picture" :src="`/api/pictures/${version.bestProof.picture.sha256}/thumbnail`" alt="" /><span v-else class="none" /><span class="words">
            <strong>Version {{ version.number }}</strong>
            <span v-if="branches && version.parent !== null" class="soft"> branches from {{ version.parent }}</span>
            <span class="changes" :title="changesOf(version)">{{ changesOf(version) }}</span>
            <span v-if="version.why" class="why">{{ version.why }}</span>
            <span v-if="version.faults.length && version.keepers === 0 && version.dropped > 0" class="why">Dropped for {{ faultsOf(version) }}</span>
            <span class="soft small"
              ><time :datetime="version.createdAt" :title="sayExactly(version.createdAt)">{{ sayWhen(version.createdAt, now) }}</time> · {{ counted(version.proofs, 'proof')
              }}<span v-if="version.keepers" class="kept">, {{ version.keepers }} kept</span><template v-if="version.maybes">, {{ version.maybes }} maybe</template><template v-if="version.dropped">, {{ version.dropped }} dropped</template><template v-if="version.cost.length"> · {{ sayAmounts(version.cost) }}</template></span
            >
          </span></v-btn>
        <div v-if="opened === version.id" class="opened">
          <h2>Against the draft now</h2>
          <WordDiff :before="version.body.text" :after="draft.text" />
          <TakeFromVersion :version="version" :session="session" />
          <p v-if="version.body.leaveOut.length"><span class="soft">Leave out:</span> {{ version.body.leaveOut.join(', ') }}</p>
          <p v-if="version.lastRun" class="soft">
            Last tried with {{ version.lastRun.engines.map((e) => engines.named(e.revision ? `${e.engine} ${e.revision}` : e.engine)).join(', ') }}, <template v-for="(line, i) in settingLines(version.lastRun.settings)" :key="line.name">{{ i ? ', ' : '' }}{{ line.name.toLowerCase() }} {{ line.value }}</template>
          </p>
          <p v-if="version.faults.length"><span class="soft">Faults:</span> {{ faultsOf(version) }}</p>
          <SavedText :value="version.why" label="Why it was made, or dropped" :maxlength="500" @save="explain(version, $event)" />
          <p class="row-actions">
            <v-btn @click="emit('goOn', version)">Go on from this version</v-btn>
            <RouterLink v-if="version.bestProof" :to="`/proofs/${version.bestProof.id}`">Best proof</RouterLink>
            <RouterLink v-if="version.proofs" :to="{ path: '/proofs/sheet', query: { prompt: version.promptId, version: version.number, by: 'free' } }">Proofs</RouterLink>
            <v-btn variant="text" @click="emit('use', version)">Use as a new prompt</v-btn>
          </p>
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.history {
  display: grid;
  gap: 12px;
}
.since {
  padding-left: 12px;
  border-left: 2px solid var(--accent);
}
li {
  border-top: 1px solid var(--rule);
}
li.branch {
  padding-left: 10px;
  border-left: 1px solid var(--rule-strong);
}
li.here .line strong::after {
  content: ' (the draft goes on from here)';
  font-weight: 400;
  color: var(--soft);
}
.line {
  display: grid;
  grid-template-columns: 66px 1fr;
  gap: 12px;
  width: 100%;
  padding: 10px 0;
  border: 0;
  background: none;
  text-align: left;
  cursor: pointer;
}
.line img,
.none {
  width: 66px;
  height: 46px;
  object-fit: cover;
  background: var(--wash);
}
.changes,
.why,
.small {
  display: block;
  overflow-wrap: anywhere;
}
/* The whole of it is in the comparison below. */
.changes {
  display: -webkit-box;
  -webkit-line-clamp: 3;
  -webkit-box-orient: vertical;
  overflow: hidden;
}
.why {
  font-style: italic;
}
.small {
  font-size: 12.5px;
}
.opened {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
  padding: 0 0 14px;
}
.opened h2 {
  font-size: 13px;
  color: var(--soft);
  font-weight: 500;
}
</style>
