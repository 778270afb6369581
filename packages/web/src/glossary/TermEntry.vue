<script setup lang="ts">
import type { Term } from '@idolon/core'
import { computed } from 'vue'

/** What the glossary says of one term. Kin are links, so that the vocabulary can be walked. */
const props = defineProps<{ term: Term; heading: 'h2' | 'h3'; /** Whether what it brings is said here, and not beside it. */ brings: boolean }>()
defineEmits<{ go: [name: string] }>()
const rows = computed(() =>
  [
    { name: 'Kind of', names: props.term.broader ? [props.term.broader] : [], kin: true },
    { name: 'Narrower', names: props.term.narrower, kin: true },
    { name: 'Near', names: props.term.near, kin: true },
    { name: 'Not with', names: props.term.excludes, kin: false },
    { name: 'Brings', names: props.brings ? props.term.brings : [], kin: false },
    { name: 'Instead', names: props.term.instead, kin: false },
  ].filter(({ names }) => names.length),
)
</script>

<template>
  <article class="entry">
    <component :is="heading" class="titled">{{ term.term }} <span class="soft">{{ term.facet }}{{ term.own ? ', your own' : '' }}</span></component>
    <p v-if="term.also.length" class="soft">also {{ term.also.join(', ') }}</p>
    <p class="does">{{ term.does }}</p>
    <dl v-if="rows.length">
      <template v-for="row in rows" :key="row.name">
        <dt>{{ row.name }}</dt>
        <dd>
          <template v-for="(name, i) in row.names" :key="name"
            ><v-btn v-if="row.kin" variant="text" class="lines kin" @click="$emit('go', name)">{{ name }}</v-btn><template v-else>{{ name }}</template
            ><template v-if="i < row.names.length - 1">, </template></template
          >
        </dd>
      </template>
    </dl>
  </article>
</template>

<style scoped>
.entry {
  display: grid;
  gap: 6px;
}
h3.titled {
  font-size: 17px;
}
.does {
  font-family: var(--serif);
  font-size: 16px;
  max-width: 60ch;
}
dl {
  display: grid;
  grid-template-columns: 76px 1fr;
  gap: 3px 10px;
  margin: 4px 0 0;
}
dt {
  font-size: 13px;
  color: var(--soft);
}
dd {
  margin: 0;
}
.kin {
  display: inline;
  text-decoration: underline;
  text-decoration-color: var(--rule-strong);
  text-underline-offset: 3px;
}
</style>
