<script setup lang="ts">
/** What a proposal changes, exercise by exercise, and which wants it leaves unmet. */
const { changes, surety, misses, binding } = defineProps<{
  changes: readonly {
    readonly words: string
    readonly isTaken: boolean
    readonly toggle: () => void
  }[]
  /** How sure it is that nothing less would do; empty where that is not asked. */
  surety: string
  misses: readonly string[]
  binding: readonly string[]
}>()
</script>

<template>
  <div>
    <h3 class="mt-2 font-semibold">
      What changes <span class="font-normal text-ink2">{{ changes.length }}</span>
    </h3>
    <p v-if="surety" class="text-[12.5px] text-ink2">{{ surety }}</p>
    <p v-if="changes.length === 0" class="text-ink2">Nothing: the plan already does this.</p>
    <ul class="text-[12.5px] leading-[17px]">
      <li v-for="change in changes" :key="change.words">
        <label class="flex items-start gap-1.5"
          ><input
            type="checkbox"
            class="mt-0.5"
            :checked="change.isTaken"
            @change="change.toggle()"
          />
          {{ change.words }}</label
        >
      </li>
    </ul>
    <h3 class="mt-2 font-semibold">
      {{ misses.length === 0 ? 'Every want is met' : 'What had to give' }}
    </h3>
    <ul class="text-[12.5px] leading-[17px]">
      <li v-for="miss in misses" :key="miss">
        {{ miss }}
      </li>
    </ul>
    <p v-if="misses.length > 0 && binding.length > 0" class="text-[12.5px] text-ink2">
      What binds: {{ binding.join(', ') }}.
    </p>
  </div>
</template>
