<script setup lang="ts">
import { FACETS } from '@idolon/core'
import { computed, ref, watch } from 'vue'
import { useTask } from '../notices/notices.ts'
import { usePhrases } from '../stores/phrases.ts'

/** The phrases that a project keeps, by facet; each can be let go, and another kept. */
const props = defineProps<{ project: string }>()
const phrases = usePhrases()
const task = useTask()
const text = ref('')
const facet = ref<(typeof FACETS)[number]>('subject')
watch(() => props.project, (id) => void task(() => phrases.load(id)), { immediate: true })

const rows = computed(() => FACETS.map((name) => ({ name, kept: phrases.all.filter((phrase) => phrase.id && phrase.facet === name) })).filter(({ kept }) => kept.length > 0))
async function keep(): Promise<void> {
  const words = text.value.trim()
  if (!words) return
  await task(() => phrases.keep(words, facet.value))
  text.value = ''
}
</script>

<template>
  <section aria-labelledby="kept-title">
    <h2 id="kept-title">Kept phrases</h2>
    <p class="soft">They come first when a facet is filled and while the text is written. Keep one with K on a phrase of an outline, or here:</p>
    <form class="new" @submit.prevent="keep">
      <v-text-field v-model="text" label="Phrase to keep" maxlength="300" placeholder="a phrase" />
      <v-select v-model="facet" label="Its facet" :items="FACETS" />
      <v-btn type="submit">Keep it</v-btn>
    </form>
    <dl>
      <template v-for="row in rows" :key="row.name">
        <dt>{{ row.name }}</dt>
        <dd>
          <span v-for="phrase in row.kept" :key="phrase.id ?? ''" class="phrase"
            >{{ phrase.text }} <v-btn variant="text" :aria-label="`Remove ${phrase.text}`" @click="task(() => phrases.remove(phrase))">Remove</v-btn></span
          >
        </dd>
      </template>
    </dl>
  </section>
</template>

<style scoped>
.new {
  display: flex;
  gap: 10px;
  align-items: center;
  margin: 12px 0 8px;
}
.new > .v-text-field {
  flex: 0 1 420px;
}
.new > .v-select {
  flex: 0 0 150px;
}
dl {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: 2px 8px;
  align-items: baseline;
}
dt {
  font-size: 13px;
  color: var(--soft);
  text-transform: capitalize;
}
dd {
  display: flex;
  flex-wrap: wrap;
  gap: 1px 22px;
}
.phrase {
  font-family: var(--serif);
}
</style>
