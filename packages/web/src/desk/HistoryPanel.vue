<script setup lang="ts">
import { changeVersion, type Version } from '@idolon/contract'
import { type Draft, versionBodyOf, versionChanges } from '@idolon/core'
import { computed, ref } from 'vue'
import { call } from '../api/call.ts'
import { useTask } from '../notices/notices.ts'
import { counted, sayExactly, sayWhen } from '../shared/said.ts'
import SavedText from '../shared/SavedText.vue'
import { settingLines } from '../shared/setting-words.ts'
import { useNow } from '../shared/use-now.ts'
import WordDiff from './WordDiff.vue'

const props = defineProps<{ versions: Version[]; draft: Draft; parent: number | null }>()
const emit = defineEmits<{ goOn: [version: Version]; use: [version: Version]; changed: [version: Version] }>()
const opened = ref<string>()
const now = useNow()
const task = useTask()

const parentVersion = computed(() => props.versions.find(({ number }) => number === props.parent))
const since = computed(() => (parentVersion.value ? versionChanges(parentVersion.value.body, versionBodyOf(props.draft)) : []))
const changesOf = (version: Version) => (version.parent === null ? 'The first version' : version.changes.join('; ') || 'Nothing but settings')
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
      <li v-for="version in versions" :key="version.id" :class="{ here: version.number === parent }">
        <button class="line" :aria-expanded="opened === version.id" @click="opened = opened === version.id ? undefined : version.id">
          <img v-if="version.bestProof?.picture" :src="`/api/pictures/${version.bestProof.picture.sha256}/thumbnail`" alt="" />
          <span v-else class="none" />
          <span class="words">
            <strong>Version {{ version.number }}</strong>
            <span v-if="version.parent !== null && version.parent !== version.number - 1" class="soft"> from {{ version.parent }}</span>
            <span class="changes" :title="changesOf(version)">{{ changesOf(version) }}</span>
            <span v-if="version.why" class="why">{{ version.why }}</span>
            <span class="soft small"
              ><time :datetime="version.createdAt" :title="sayExactly(version.createdAt)">{{ sayWhen(version.createdAt, now) }}</time> · {{ counted(version.proofs, 'proof')
              }}<span v-if="version.keepers" class="kept">, {{ version.keepers }} kept</span></span
            >
          </span>
        </button>
        <div v-if="opened === version.id" class="opened">
          <h2>Against the draft now</h2>
          <WordDiff :before="version.body.text" :after="draft.text" />
          <p v-if="version.body.leaveOut.length"><span class="soft">Leave out:</span> {{ version.body.leaveOut.join(', ') }}</p>
          <p v-if="version.lastRun" class="soft">
            Last tried with {{ version.lastRun.engines.map((e) => e.engine).join(', ') }}, <template v-for="(line, i) in settingLines(version.lastRun.settings)" :key="line.name">{{ i ? ', ' : '' }}{{ line.name.toLowerCase() }} {{ line.value }}</template>
          </p>
          <div class="labelled"><span>Why it was made</span><SavedText class="field" :value="version.why" label="Why it was made" :maxlength="500" @save="explain(version, $event)" /></div>
          <p class="row-actions">
            <button class="quiet" @click="emit('goOn', version)">Go on from this version</button>
            <RouterLink v-if="version.bestProof" :to="`/proofs/${version.bestProof.id}`">Its best proof</RouterLink>
            <button class="plain" @click="emit('use', version)">Use as a new prompt</button>
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
  gap: 10px;
  padding: 0 0 14px;
}
.opened h2 {
  font-size: 13px;
  color: var(--soft);
  font-weight: 500;
}
</style>
