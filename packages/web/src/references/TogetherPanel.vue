<script setup lang="ts">
import { type Reference, readReading } from '@idolon/contract'
import { type Borrowed, type PictureReading, type SharedPhrase, togetherOf } from '@idolon/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { call } from '../api/call.ts'
import { useNotices, useTask } from '../notices/notices.ts'
import { counted } from '../shared/said.ts'
import { useRules } from '../stores/rules.ts'
import { beginFromReading } from './begin-from-reading.ts'

/** Several pictures read together: what they share, to begin with or to make a rule of, and what varies among them. */
const props = defineProps<{ references: readonly Reference[] }>()
const task = useTask()
const notices = useNotices()
const router = useRouter()
const rules = useRules()
const known = shallowRef(new Map<string, PictureReading>())
watch(
  () => props.references.filter(({ stage }) => stage === 'read').map(({ picture }) => picture.sha256).join(),
  () =>
    void task(async () => {
      const missing = props.references.filter(({ stage, picture }) => stage === 'read' && !known.value.has(picture.sha256))
      const came = await Promise.all(missing.map(async ({ picture: { sha256 } }) => [sha256, await call(readReading, { params: { sha256 } })] as const))
      known.value = new Map([...known.value, ...came])
    }),
  { immediate: true },
)
const project = computed(() => props.references[0]?.projectId)
watch(project, (id) => id && void task(() => rules.load(id)), { immediate: true })
const readings = computed(() => props.references.flatMap(({ picture }) => known.value.get(picture.sha256) ?? []))
const together = computed(() => togetherOf(readings.value))
const left = ref(new Set<string>())
const keyOf = ({ facet, text }: SharedPhrase) => `${facet} ${text}`
const taken = computed((): Borrowed[] => together.value.shared.filter((one) => !left.value.has(keyOf(one))).map(({ facet, text }) => ({ facet, text, reference: props.references[0]!.id })))
const toggle = (one: SharedPhrase) => {
  const next = new Set(left.value)
  if (!next.delete(keyOf(one))) next.add(keyOf(one))
  left.value = next
}
const isRule = ({ text }: SharedPhrase) => rules.rules.must.some((rule) => 'phrase' in rule && rule.phrase.toLowerCase() === text.toLowerCase())
const makeRule = ({ text }: SharedPhrase) =>
  task(async () => {
    if (!project.value) return
    await rules.set(project.value, { ...rules.rules, must: [...rules.rules.must, { phrase: text }] })
    notices.show(`Every prompt of the project is to say “${text}” now. The house rules stand on the project page.`)
  })
const begin = () =>
  task(async () => {
    if (!project.value) return
    const prompt = await beginFromReading(project.value, taken.value, undefined)
    await router.push(`/desk/${prompt.id}`)
  })
</script>

<template>
  <article class="together">
    <ul class="row" aria-label="Pictures read together">
      <li v-for="one in references" :key="one.id"><img :src="`/api/pictures/${one.picture.sha256}/small`" :alt="one.name || 'without a name'" :title="one.name" /></li>
    </ul>
    <p v-if="references.length < 2" class="soft">Mark two pictures or more on the left to see what they share.</p>
    <p v-else-if="readings.length < references.length" class="soft" role="status">{{ counted(references.length - readings.length, 'picture') }} still to be read …</p>
    <template v-else>
      <section aria-labelledby="shared-title">
        <h2 id="shared-title">What they share</h2>
        <p v-if="together.shared.length === 0" class="soft">Nothing that is settled in most of them.</p>
        <ul v-else class="phrases">
          <li v-for="one in together.shared" :key="keyOf(one)">
            <span class="soft facet">{{ one.facet }}</span>
            <span class="words" :class="{ taken: !left.has(keyOf(one)) }">{{ one.text }}</span>
            <span class="soft">in {{ one.in }} of {{ one.of }}</span>
            <v-btn variant="text" :aria-label="`${left.has(keyOf(one)) ? 'Accept' : 'Reject'} ${one.text}`" @click="toggle(one)">{{ left.has(keyOf(one)) ? 'Accept' : 'Reject' }}</v-btn>
            <v-btn variant="text" :disabled="isRule(one)" @click="makeRule(one)">{{ isRule(one) ? 'is a house rule' : 'Make it a house rule' }}</v-btn>
          </li>
        </ul>
        <p v-if="together.shared.length"><v-btn color="primary" variant="flat" :disabled="taken.length === 0" @click="begin">Begin a prompt with what they share</v-btn></p>
      </section>
      <section v-if="together.varying.length" aria-labelledby="varies-title">
        <h2 id="varies-title">What varies</h2>
        <ul class="phrases">
          <li v-for="one in together.varying" :key="one.facet + one.ways[0]?.text">
            <span class="soft facet">{{ one.facet }}</span>
            <span>{{ one.ways.map((way) => `${way.text} in ${way.in}`).join(', ') }}</span>
          </li>
        </ul>
      </section>
    </template>
  </article>
</template>

<style scoped>
.together {
  display: grid;
  gap: 16px;
  align-content: start;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.row img {
  display: block;
  height: 96px;
  max-width: 180px;
  object-fit: cover;
}
.phrases {
  display: grid;
  gap: 4px;
  margin: 6px 0;
}
.phrases li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
}
.facet {
  width: 80px;
  font-size: 12.5px;
  text-transform: capitalize;
}
.words {
  font-family: var(--serif);
  font-size: 16px;
}
.words.taken {
  background: var(--added);
}
</style>
