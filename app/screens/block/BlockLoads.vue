<script setup lang="ts">
import { RULE_NAMES } from '#core/words'
import type { LoadProgression } from '#core/plan/method'
import { CircleAlert } from 'lucide-vue-next'

/** Loads set by set, rotation by rotation, if everything goes as planned. */
const { rows, passes, isKnown, setRule, setWay, setWayField, wayLimits, wayProblem } =
  useBlockLoads()
const RULES = Object.keys(RULE_NAMES) as LoadProgression[]
</script>

<template>
  <div class="overflow-x-auto">
    <StartingLoads />
    <p class="mb-2 text-ink2">
      What the phone says, set by set, if every target before is met; the reps aimed at behind it.
      Loads go on from the last log, begin with what the plan names, and are what can be loaded.
    </p>
    <p v-if="wayProblem" role="alert" class="mb-2 text-alert">{{ wayProblem }}</p>
    <table class="min-w-max text-left" :aria-busy="!isKnown">
      <thead class="text-[12px] text-ink2">
        <tr>
          <th class="pr-4 font-normal">Exercise</th>
          <th class="pr-4 font-normal">Rule</th>
          <th class="pr-4 font-normal">Gains by</th>
          <th class="pr-4 font-normal">Next time</th>
          <th
            v-for="pass in passes"
            :key="pass.at"
            class="px-2 font-normal"
            :data-deload="pass.isDeload || undefined"
          >
            {{ pass.number }}{{ pass.isDeload ? ', deload' : '' }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="row in rows"
          :key="row.exercise"
          :data-exercise="row.exercise"
          class="border-t border-hair"
        >
          <th scope="row" class="py-0.5 pr-4 font-semibold">{{ row.name }}</th>
          <td class="pr-4">
            <select
              class="small-field"
              :aria-label="`${row.name}, rule`"
              :title="RULE_NAMES[row.rule][1]"
              :value="row.isOwn ? row.rule : ''"
              @change="
                setRule(row.exercise, ($event.target as HTMLSelectElement).value as LoadProgression)
              "
            >
              <option value="">
                {{ row.isOwn ? 'as the method has it' : `${RULE_NAMES[row.rule][0]} (method)` }}
              </option>
              <option v-for="rule in RULES" :key="rule" :value="rule">
                {{ RULE_NAMES[rule][0] }}
              </option>
            </select>
          </td>
          <td class="pr-4">
            <WayCell
              :name="row.name"
              :way="row.way"
              :limits="row.way && wayLimits[row.way.kind]"
              @chosen="kind => setWay(row.exercise, kind)"
              @changed="(field, value) => setWayField(row.exercise, field, value)"
            />
          </td>
          <td v-if="!row.isKnown" :colspan="passes.length + 1" class="px-2 text-ink2">
            no load yet: name one in the session, or log one
          </td>
          <template v-else>
            <td class="max-w-64 pr-4 text-[12.5px] text-ink2">{{ row.reason }}</td>
            <td
              v-for="(cell, n) in row.cells"
              :key="cell.at"
              class="px-2 whitespace-nowrap"
              :data-deload="passes[n]?.isDeload || undefined"
            >
              {{ cell.words }}
              <span v-if="cell.targets" class="text-[11.5px] text-ink2">{{
                cell.targets
              }}</span><span v-if="cell.jump !== null" class="alert-chip"
                ><CircleAlert :size="12" aria-hidden="true" />+{{ cell.jump }}&nbsp;%</span
              ><span v-if="cell.loss" class="block text-[11.5px] text-alert">{{ cell.loss }}</span>
            </td>
          </template>
        </tr>
      </tbody>
    </table>
    <p
      v-if="rows.some(({ cells }) => cells.some(({ jump }) => jump !== null))"
      class="mt-2 text-[12.5px] text-alert"
    >
      A marked jump is more than a step and more than a tenth: start lighter, or give the exercise
      smaller steps.
    </p>
  </div>
</template>

<style scoped>
[data-deload] {
  background: var(--sunk);
}
</style>
