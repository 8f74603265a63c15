<script setup lang="ts">
import { clientId } from '#core/base'
import type { Group } from '#core/plan/catalogue'
import {
  formatDecimals,
  formatOneDecimal,
  formatSets,
  JOINT_NAMES,
  SCHOOL_NAMES,
} from '#core/words'
import { MODES } from '#core/plan/method'

const route = useRoute()
const id = String(route.params.clientId)
const store = usePlanStore()
const { data: outcome } = await useAsyncData(`targets-${id}`, async () => {
  const result = await store.load(clientId(id))
  return result.ok ? 200 : result.error.kind === 'refused' ? result.error.problem.status : 503
})
if (outcome.value === 401) await navigateTo('/sign-in')
else if (outcome.value !== 200)
  throw createError({ statusCode: outcome.value === 404 ? 404 : 503, fatal: true })
useHead({ title: () => `${store.client?.name ?? 'Client'} · Targets · Tholepin` })

const {
  form,
  rows,
  jointRows,
  ratio,
  school,
  complaint,
  errors,
  isBusy,
  complaintAbout,
  save,
  setMode,
} = useTargets(id)
const isSaved = ref(false)
const FAMILIES: Partial<Record<Group, 'flex' | 'flex2' | 'ext' | 'fore'>> = {
  biceps: 'flex',
  elbow_flexors_other: 'flex2',
  triceps: 'ext',
  forearms: 'fore',
}
const isLive = ref(false)
onMounted(() => (isLive.value = true))
watch(form, () => (isSaved.value = false))
const { kept } = useLeaveWarning(() => form)
async function submit(): Promise<void> {
  isSaved.value = await save()
  if (isSaved.value) kept()
}
const textOf = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <div>
    <ClientBar :id="id" :name="store.client?.name ?? ''" here="targets" />
    <main class="px-5 pt-4 pb-12 max-md:px-3">
      <h1 class="font-display text-[23px] leading-[27px]">Targets</h1>
      <p class="text-ink2">
        Sets per 7 days, counted as
        {{ SCHOOL_NAMES[school.id as keyof typeof SCHOOL_NAMES] ?? school.id }}. Grey figures follow
        from training age, priority and the method {{ store.client?.method.name }}; what you enter
        replaces them, what you clear brings them back.
      </p>
      <form method="post" novalidate @submit.prevent="submit">
        <ScrollBox label="Bands"
          ><table class="mt-3">
            <thead>
              <tr>
                <th scope="col" />
                <th scope="col">Priority</th>
                <th scope="col">Floor</th>
                <th scope="col">Target</th>
                <th scope="col">Ceiling</th>
                <th scope="col" colspan="2">Now in the rotation</th>
                <th scope="col">Days in 7, at least</th>
                <th scope="col">Most in a session</th>
                <th scope="col">Comes from</th>
              </tr>
            </thead>
            <tbody>
              <TargetRow
                v-for="row in rows"
                :key="row.group"
                v-model:band="form.bands[row.group]!"
                v-model:frequency="form.frequencyMin[row.group]!"
                v-model:most="form.sessionMax[row.group]!"
                v-model:heads="form.headFloors"
                :row="row"
                :family="FAMILIES[row.group] ?? 'body'"
                :modes="MODES"
                :complaint="complaintAbout(`/bands/${row.group}`, 'The band')"
                @mode="mode => setMode(row.group, mode)"
              />
            </tbody></table
        ></ScrollBox>
        <div class="mt-5 grid grid-cols-[1fr_1.4fr] gap-10 max-lg:grid-cols-1 max-lg:gap-4">
          <section aria-labelledby="ratio">
            <h2 id="ratio" class="section-head">Flexors and triceps</h2>
            <label class="flex items-center gap-2"
              >Wanted triceps sets per flexor set
              <input
                :value="form.ratioWish"
                type="number"
                min="0.3"
                max="3"
                step="0.05"
                class="small-field w-[72px]"
                :placeholder="formatSets(ratio.usual)"
                @input="form.ratioWish = textOf($event)"
              />
              <span class="text-ink2"
                >now
                {{ ratio.now === null ? 'nothing to compare' : formatDecimals(ratio.now, 2) }}</span
              >
            </label>
            <p class="mt-1 text-[12px] text-ink2">
              A wish, not a law: 1.1 by muscle volume, 1.3 for triceps first, 0.9 for rowers and
              climbers.
            </p>
          </section>
          <section aria-labelledby="joints">
            <h2 id="joints" class="section-head">Joint-load limits</h2>
            <ScrollBox label="Joint-load limits"
              ><table>
                <thead>
                  <tr>
                    <th scope="col" />
                    <th scope="col">7 days</th>
                    <th scope="col">now</th>
                    <th scope="col">Session</th>
                    <th scope="col">heaviest now</th>
                  </tr>
                </thead>
                <tbody>
                  <tr v-for="row in jointRows" :key="row.joint">
                    <th scope="row">
                      {{ JOINT_NAMES[row.joint] }}
                    </th>
                    <td>
                      <input
                        :value="form.jointCeilings[row.joint]!.week"
                        type="number"
                        min="1"
                        class="small-field w-[72px]"
                        :placeholder="formatOneDecimal(row.usual.week)"
                        :aria-label="`${JOINT_NAMES[row.joint]}, points in 7 days`"
                        @input="form.jointCeilings[row.joint]!.week = textOf($event)"
                      />
                    </td>
                    <td>{{ formatOneDecimal(row.week) }}</td>
                    <td>
                      <input
                        :value="form.jointCeilings[row.joint]!.session"
                        type="number"
                        min="1"
                        class="small-field w-[72px]"
                        :placeholder="formatOneDecimal(row.usual.session)"
                        :aria-label="`${JOINT_NAMES[row.joint]}, points in a session`"
                        @input="form.jointCeilings[row.joint]!.session = textOf($event)"
                      />
                    </td>
                    <td>{{ formatOneDecimal(row.session) }}</td>
                  </tr>
                </tbody>
              </table></ScrollBox
            >
            <p class="mt-1 text-[12px] text-ink2">
              Points are estimates: one is a set of 9 to 15 reps with two in reserve of an exercise
              that is light on the joint.
            </p>
          </section>
        </div>
        <SaveBar
          action="Save the targets"
          :is-disabled="isBusy || !isLive"
          :saved-words="isSaved ? 'Saved. The board uses them from now on.' : ''"
          :complaint="complaint"
          :errors="errors"
        />
      </form>
    </main>
  </div>
</template>

<style scoped>
thead th {
  padding: 0 10px 4px 0;
  border-bottom: 1.5px solid var(--ink);
  font-size: 12px;
  font-weight: 600;
  text-align: left;
  color: var(--ink2);
}
section td {
  padding: 2px 12px 2px 0;
}
section tbody th {
  padding: 2px 14px 2px 0;
  font-weight: 400;
  text-align: left;
}
</style>
