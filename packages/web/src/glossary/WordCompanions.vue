<script setup lang="ts">
import type { Associations } from '@idolon/core'
import { computed, ref, watch } from 'vue'

/** What a word brings along though nobody asks, and how to say it without: all of it, or one companion that is not wanted. */
const props = defineProps<{ word: string; associations: Associations; use?: boolean }>()
const emit = defineEmits<{ use: [text: string] }>()
const SOURCES = { listed: 'listed by hand', dictionary: 'from its definition', prompts: 'from prompts', use: 'from how it is used' } as const
const companions = computed(() => props.associations.companions(props.word))
const unwanted = ref<string>()
const open = ref(false)
watch(() => props.word, () => ((unwanted.value = undefined), (open.value = false)))
const ways = computed(() => props.associations.without(props.word, unwanted.value).slice(0, 6))
const meaning = computed(() => props.associations.meaning(props.word))
/** In words: a share of a hundred would claim more than is known. */
const strongly = (strength: number) => (strength >= 0.85 ? 'most often' : strength >= 0.6 ? 'often' : 'sometimes')
function without(what: string | undefined): void {
  unwanted.value = what
  open.value = true
}
</script>

<template>
  <section v-if="companions.length" class="companions" :aria-label="`What ${word} brings`">
    <h3>“{{ word }}” brings, unasked</h3>
    <ul class="brought">
      <li v-for="one in companions" :key="one.what">
        <v-btn variant="text" :aria-pressed="open && unwanted === one.what" :aria-label="`Say it without ${one.what}`" @click="without(one.what)">{{ one.what }}</v-btn>
        <span class="soft">{{ strongly(one.strength) }}, {{ SOURCES[one.source] }}</span>
      </li>
    </ul>
    <p v-if="!open"><v-btn variant="text" @click="without(undefined)">Say it without the word</v-btn></p>
    <p v-if="meaning" class="soft">It means: {{ meaning }}.</p>
    <div v-if="open">
      <p class="soft named">
        <v-text-field label="Without" maxlength="60" placeholder="anything it brings" :model-value="unwanted ?? ''" @change="unwanted = ($event.target as HTMLInputElement).value.trim() || undefined" />
        {{ unwanted ? '' : 'what drags in least comes first' }}
      </p>
      <ul v-if="ways.length">
        <li v-for="way in ways" :key="way.text">
          <v-btn v-if="use" variant="text" class="way" @click="emit('use', way.text)">{{ way.text }}</v-btn><span v-else class="way">{{ way.text }}</span>
          <span class="soft source">{{ way.source }}{{ way.drags > 0.3 ? ', brings things of its own' : '' }}</span>
        </li>
      </ul>
      <p v-else>No words for it are known that do not bring it too. Say what is there instead, or put it on the leave-out list.</p>
    </div>
  </section>
</template>

<style scoped>
.companions {
  display: grid;
  gap: 6px;
}
.named {
  display: flex;
  gap: 10px;
  align-items: center;
}
.source {
  margin-left: 8px;
  font-size: 13px;
}
.brought {
  display: grid;
  grid-template-columns: max-content 1fr;
  gap: 2px 14px;
}
.brought li {
  display: contents;
}
.brought .soft {
  font-size: 13px;
}
.way {
  font-family: var(--serif);
  font-size: 15.5px;
}
</style>
