<script setup lang="ts">
import { importPictures, type ImportedPicture, type Run } from '@idolon/contract'
import { type Settings, sizeFor } from '@idolon/core'
import { computed, ref } from 'vue'
import { call } from '../api/call.ts'
import { messageOf } from '../api/problem.ts'
import { useTask } from '../notices/notices.ts'
import { counted, sayAmounts } from '../shared/said.ts'
import { useEngines } from '../stores/engines.ts'
import { useIncomingPictures } from './incoming-pictures.ts'
import { uploadPicture, type Uploaded } from './upload.ts'

/** Takes in pictures for a run that waits for them: dropped, pasted or chosen, many at once. */
const props = defineProps<{ run: Run }>()
const emit = defineEmits<{ changed: [run: Run] }>()
const task = useTask()
const engines = useEngines()
const zone = ref<HTMLElement>()
const waiting = ref<(Uploaded & { name: string; seed: string })[]>([])
const refused = ref<string[]>([])
const busy = ref(0)
const seed = ref('')
/** Settings typed once for all whose metadata says nothing of them. */
const typed = ref<Record<string, string>>({})

const profile = computed(() => {
  const [choice] = props.run.engines
  return choice && engines.find(choice.engine, choice.revision)
})
const cost = computed(() => (profile.value ? sayAmounts([{ unit: profile.value.costUnit, amount: waiting.value.length * sizeFor(profile.value, { ...props.run.settings, ...props.run.engines[0]?.settings }).cost }]) : ''))

async function take(files: readonly File[]): Promise<void> {
  busy.value += files.length
  for (const file of files) {
    try {
      const taken = await uploadPicture(file)
      if (!waiting.value.some(({ sha256 }) => sha256 === taken.sha256)) waiting.value.push({ ...taken, name: file.name, seed: taken.made.seed === undefined ? '' : String(taken.made.seed) })
    } catch (error) {
      refused.value.push(`${file.name}: ${messageOf(error)}`)
    } finally {
      busy.value--
    }
  }
}
const { over, drop, pick } = useIncomingPictures(take)
const seedOf = (said: string): number | null => (/^\d{1,15}$/.test(said.trim()) ? Number(said) : null)
const common = (): Settings =>
  Object.fromEntries(
    (profile.value?.settings ?? []).flatMap(({ key, kind }): [string, string | number][] => {
      const said = typed.value[key]?.trim() ?? ''
      if (said === '' || (kind === 'number' && !Number.isFinite(Number(said)))) return []
      return [[key, kind === 'number' ? Number(said) : said]]
    }),
  )
const add = () =>
  task(async () => {
    const pictures = waiting.value.map(({ sha256, made, seed: own }): ImportedPicture => ({ sha256, seed: seedOf(own) ?? seedOf(seed.value), settings: { ...common(), ...made.settings } }))
    emit('changed', await call(importPictures, { params: { run: props.run.id }, body: { pictures } }))
    waiting.value = []
    refused.value = []
  })
</script>

<template>
  <div ref="zone" class="zone" :class="{ over }" role="group" aria-label="Import pictures" @dragover.prevent="over = true" @dragleave="over = false" @drop.prevent="drop">
    <p>
      Make the pictures there, then drop or paste them here, or
      <v-btn size="small" @click="pick()">Choose files</v-btn>
      <span v-if="busy" class="soft" role="status">{{ counted(busy, 'picture') }} on the way …</span>
    </p>
    <template v-if="waiting.length">
      <ul class="waiting">
        <li v-for="picture in waiting" :key="picture.sha256">
          <img :src="`/api/pictures/${picture.sha256}/thumbnail`" alt="" />
          <span class="name" :title="picture.name">{{ picture.name }}</span>
          <v-text-field v-model="picture.seed" label="Seed" inputmode="numeric" :placeholder="seed || 'not known'" />
          <span v-if="Object.keys(picture.made.settings).length" class="soft">{{ Object.entries(picture.made.settings).map(([key, value]) => `${key} ${value}`).join(', ') }}</span>
          <v-btn variant="text" @click="waiting = waiting.filter((other) => other !== picture)">Remove</v-btn>
        </li>
      </ul>
      <p class="row-actions">
        <v-text-field v-model="seed" label="Seed of all others" inputmode="numeric" placeholder="not known" />
        <template v-for="setting in profile?.settings ?? []" :key="setting.key">
          <v-select v-if="setting.kind === 'choice'" :label="`${setting.label} of all others`" :model-value="typed[setting.key] ?? ''" :items="[{ title: 'not known', value: '' }, ...setting.values]" @update:model-value="typed[setting.key] = $event ?? ''" />
          <v-text-field v-else v-model="typed[setting.key]" :label="`${setting.label} of all others`" inputmode="decimal" placeholder="not known" class="short" />
        </template>
        <v-btn color="primary" variant="flat" @click="add">Add {{ counted(waiting.length, 'picture') }}</v-btn>
        <span class="soft">{{ cost }} in the ledger</span>
      </p>
    </template>
    <ul v-if="refused.length" class="refused"><li v-for="line in refused" :key="line">{{ line }}</li></ul>
  </div>
</template>

<style scoped>
.zone {
  display: grid;
  gap: 8px;
  padding: 12px 14px;
  border: 1px dashed var(--rule-strong);
}
.zone.over {
  background: var(--wash);
  border-color: var(--ink);
}
.waiting {
  display: grid;
  gap: 6px;
}
.waiting li {
  display: flex;
  gap: 12px;
  align-items: center;
}
.waiting img {
  width: 54px;
  height: 36px;
  object-fit: cover;
}
.name {
  max-width: 180px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.refused {
  color: var(--accent);
}
</style>
