<script setup lang="ts">
import { type Agreement, askHelper, type Reference } from '@idolon/contract'
import { emptyDraft } from '@idolon/core'
import { computed, onMounted, ref } from 'vue'
import { call } from '../api/call.ts'
import { costAbout } from '../asking/cost-words.ts'
import { useTask } from '../notices/notices.ts'
import { useHelpers } from '../stores/helpers.ts'
import { useModels } from '../stores/models.ts'

/** The models that can be asked what a picture shows: what each costs, whether it answered, and how far it is to be trusted. */
const props = defineProps<{ reference: Reference; agreement: Agreement | undefined }>()
const emit = defineEmits<{ asked: [] }>()
const HELPER = 'describe-picture'
const models = useModels()
const helpers = useHelpers()
const task = useTask()
onMounted(() => void Promise.all([models.load(), helpers.load()]))

const rows = computed(() => models.usable.map(({ profile }) => ({ profile, caption: props.agreement?.captions.find(({ model }) => model.id === profile.id) })))
const open = computed(() => rows.value.filter(({ caption }) => !caption || caption.state === 'failed' || caption.state === 'refused'))
const body = computed(() => helpers.all.find(({ id }) => id === HELPER)?.body)
const cost = computed(() => (body.value && open.value.length ? costAbout(body.value, '', open.value.map(({ profile }) => profile)) : ''))
const names = computed(() => open.value.map(({ profile }) => profile.name).join(' and '))
const busy = ref(false)
const ask = () =>
  task(async () => {
    busy.value = true
    try {
      for (const { profile } of open.value)
        await call(askHelper, { body: { id: crypto.randomUUID(), projectId: props.reference.projectId, promptId: null, helper: HELPER, model: profile.id, values: { picture: props.reference.picture.sha256 }, draft: emptyDraft(), seed: Math.floor(Math.random() * 2 ** 31), parentId: null, further: null, takes: [] } })
    } finally {
      busy.value = false
      emit('asked')
    }
  })
const trust = ({ held, refuted }: { held: number; refuted: number }) => (held + refuted === 0 ? 'nothing is known yet of how often it is right' : `of ${held + refuted} things it said of other pictures that could be measured, ${held} were so`)
</script>

<template>
  <div v-if="rows.length && body" class="asking">
    <p v-if="open.length" class="row-actions">
      <v-btn :disabled="busy || reference.stage !== 'read'" @click="ask">Ask {{ names }} what it shows</v-btn>
      <span class="soft">{{ cost }}</span>
    </p>
    <ul>
      <li v-for="{ profile, caption } in rows.filter((row) => row.caption)" :key="profile.id">
        <b>{{ profile.name }}</b>{{ profile.simulated ? ', simulated' : '' }}:
        <span v-if="caption!.state === 'done'" class="soft">{{ trust(caption!.record) }}</span>
        <span v-else-if="caption!.problem" class="problem">{{ caption!.problem }}</span>
        <span v-else class="soft" role="status">answering …</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.asking {
  display: grid;
  gap: 4px;
  font-size: 13px;
}
</style>
