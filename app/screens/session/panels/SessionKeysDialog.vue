<script setup lang="ts">
import { useSession } from '../sessionContext'

const builder = useSession()
const KEYS: readonly (readonly [keys: readonly string[], does: string])[] = [
  [['←', '→'], 'choose a group of exercises'],
  [['↑', '↓'], 'choose an exercise'],
  [['⇧', '←', '→'], 'move the group'],
  [['⇧', '↑', '↓'], 'move among partners'],
  [['Enter'], 'its sets as shorthand'],
  [['E'], 'add exercises'],
  [['S'], 'do it together with the next one, or apart'],
  [['+', '−'], 'a set more, a set less'],
  [['[', ']'], 'rest 15 s shorter, longer'],
  [['V'], 'swap the exercise'],
  [['W'], 'propose warm-up sets'],
  [['Del'], 'take the exercise out'],
  [['L'], 'only so many minutes'],
  [['B'], 'session templates'],
  [['X'], 'the session as text'],
  [['O'], 'versions and single dates'],
  [['T'], 'show the same sets straight'],
  [['N'], 'next thing to look at'],
  [['F'], 'fix it'],
  [['D'], 'put it aside'],
  [['1', '…', '9'], 'another day'],
  [['Z'], 'undo'],
  [['⇧', 'Z'], 'redo'],
  [['?'], 'this list'],
]
</script>

<template>
  <PanelDialog title="Keys of the Session builder" :width="540" @closed="builder.close()">
    <dl class="mt-3 grid grid-cols-[140px_1fr] gap-y-1">
      <template v-for="[keys, does] in KEYS" :key="does">
        <dt class="flex gap-1">
          <KeyCap v-for="key in keys" :key="key" :label="key" />
        </dt>
        <dd>{{ does }}</dd>
      </template>
    </dl>
    <p class="mt-3 text-ink2">
      With the mouse: drag a plank of the strip before, after or onto another; onto it they are done
      together.
    </p>
  </PanelDialog>
</template>
