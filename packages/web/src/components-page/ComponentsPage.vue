<script setup lang="ts">
import { mdiClose, mdiDeleteOutline, mdiDownload, mdiImport, mdiPlus } from '@mdi/js'
import ActsMenu from '../shared/ActsMenu.vue'
import ChoiceMenu from '../shared/ChoiceMenu.vue'
import DayField from '../shared/DayField.vue'
import { between, needed } from '../shared/field-rules.ts'
import FoldOut from '../shared/FoldOut.vue'
import NumberField from '../shared/NumberField.vue'
import SavedText from '../shared/SavedText.vue'
import TagField from '../shared/TagField.vue'

/** Every component that views are built of, in the states it has: what a change of the theme or the defaults is looked at on. */
const LONG = 'An old beekeeper in a waxed canvas coat lifts a frame from a straw hive, terraced apiary above the village'
const HEADERS = [{ title: 'Facet', key: 'facet', cellProps: { role: 'rowheader' } }, { title: 'Says', key: 'says' }, { title: 'Kept', key: 'kept', align: 'end' as const }]
const ROWS = [{ facet: 'subject', says: 'a heron', kept: 4 }, { facet: 'light', says: 'soft light from the left', kept: 12 }, { facet: 'medium', says: 'gouache', kept: 7 }]
const ACTS = [{ name: 'Download', icon: mdiDownload }, { name: 'Delete this proof', says: 'It goes to the bin', icon: mdiDeleteOutline, last: true }]
const VARIANTS = ['flat', 'outlined', 'text'] as const
</script>

<template>
  <v-app>
    <main class="page components">
      <h1 class="view-title">Components <span class="scope">in their states</span></h1>

      <section aria-labelledby="buttons">
        <h2 id="buttons">Buttons</h2>
        <p v-for="variant in VARIANTS" :key="variant" class="row-actions">
          <v-btn :variant="variant" v-bind="variant === 'flat' ? { color: 'primary' } : {}">Try it</v-btn>
          <v-btn :variant="variant" v-bind="variant === 'flat' ? { color: 'primary' } : {}" :prepend-icon="mdiImport">Import pictures</v-btn>
          <v-btn :variant="variant" v-bind="variant === 'flat' ? { color: 'primary' } : {}" disabled>Not now</v-btn>
          <v-btn :variant="variant" v-bind="variant === 'flat' ? { color: 'primary' } : {}" size="small">Small</v-btn>
        </p>
        <p class="row-actions">
          <v-btn variant="text" size="small" :icon="mdiClose" aria-label="Remove" />
          <v-btn :aria-pressed="true">Pressed</v-btn>
          <v-btn variant="text" class="choice lines" aria-current="true"><span class="name">Chosen of a list</span><span class="soft">12 made</span></v-btn>
          <a href="#buttons">A link goes somewhere</a>
        </p>
      </section>

      <section aria-labelledby="fields" class="fields">
        <h2 id="fields">Fields</h2>
        <v-text-field label="Empty" placeholder="an example" />
        <v-text-field label="Filled" model-value="a heron by the lake" />
        <v-text-field label="With a hint" model-value="0.7" hint="0 to 2; the higher, the freer" persistent-hint />
        <v-text-field label="Not sound" model-value="nine" :rules="[between(0, 12)]" validate-on="eager" />
        <v-text-field label="Needed" model-value="" :rules="[needed]" validate-on="eager" />
        <v-text-field label="Disabled" model-value="for good" disabled />
        <v-select label="A choice" model-value="burin" :items="[{ title: 'Burin 2', value: 'burin' }]" />
        <v-select label="A choice that clears" model-value="winter" :items="['winter']" clearable />
        <v-combobox label="One of a list, or another" model-value="soft light" :items="['soft light']" />
        <v-file-input label="A file" />
        <DayField label="A day" day="2026-01-31" />
        <v-color-input label="A colour" model-value="#b08030" mode="hex" hide-actions color-pip />
        <NumberField label="A number" :value="4" :min="0" :max="12" />
        <TagField :tags="['winter', 'birds']" :known="[]" />
        <SavedText label="Saved where it is left" value="warmer" :maxlength="200" />
        <v-textarea label="Several lines" :model-value="LONG" rows="2" />
      </section>

      <section aria-labelledby="switches">
        <h2 id="switches">Switches</h2>
        <p class="row-actions">
          <v-checkbox label="on" :model-value="true" /><v-checkbox label="off" :model-value="false" /><v-checkbox label="disabled" :model-value="true" disabled />
        </p>
        <v-radio-group model-value="pairs" inline label="One of these"><v-radio label="every pair" value="pairs" /><v-radio label="every combination" value="all" /></v-radio-group>
        <v-slider label="Keep of the picture" :model-value="60" :max="100"><template #append>60 of 100</template></v-slider>
      </section>

      <section aria-labelledby="lists">
        <h2 id="lists">Tables, tabs, menus, what folds out</h2>
        <v-tabs model-value="checks"><v-tab value="checks">Checks</v-tab><v-tab value="output">Output</v-tab><v-tab value="history" disabled>History</v-tab></v-tabs>
        <v-data-table :headers="HEADERS" :items="ROWS" :sort-by="[{ key: 'kept', order: 'desc' }]" />
        <v-data-table :headers="HEADERS" :items="[]" no-data-text="Nothing spent." />
        <p class="row-actions"><ActsMenu label="This proof" :acts="ACTS" /><ChoiceMenu label="Add somebody" :icon="mdiPlus" :items="[{ title: 'Hedda', value: 'h' }]" /><ChoiceMenu label="Nobody to add" :items="[]" /></p>
        <v-list class="listed"><v-list-item title="One of a menu" subtitle="with a sentence" /><v-list-item title="Another" active /></v-list>
        <FoldOut title="Closed" />
        <FoldOut title="Open" :model-value="true"><p>{{ LONG }}</p></FoldOut>
      </section>

      <section aria-labelledby="told">
        <h2 id="told">What is told</h2>
        <v-alert type="warning" variant="outlined" density="compact">This prompt is in the bin. <template #append><v-btn size="small">Restore</v-btn></template></v-alert>
        <v-progress-linear :model-value="40" aria-label="4 of 10 pictures" />
        <v-skeleton-loader type="list-item-two-line" />
        <v-empty-state title="Nothing lies on the desk" text="Begin a new prompt, or take one from the Shelf."><template #actions><v-btn color="primary" variant="flat">New prompt</v-btn></template></v-empty-state>
        <div class="dialog"><h2>A dialog</h2><p>{{ LONG }}</p><p class="row-actions"><v-btn color="primary" variant="flat">Use it there</v-btn><v-btn>Cancel</v-btn></p></div>
        <p><kbd>Ctrl K</kbd> <span class="soft">soft words</span> <strong>strong words</strong> <span class="kept">3 kept</span></p>
      </section>
    </main>
  </v-app>
</template>

<style scoped>
.components,
.components > section {
  display: grid;
  gap: 14px;
}
.components {
  max-width: 1080px;
}
.fields {
  align-items: start;
  grid-template-columns: repeat(3, minmax(0, 1fr));
}
.fields h2 {
  grid-column: 1 / -1;
}
.dialog {
  display: grid;
  gap: 10px;
}
.listed,
.dialog {
  max-width: 420px;
  border: 1px solid var(--rule);
}
</style>
