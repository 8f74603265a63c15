<script setup lang="ts">
import type { FeltPlace } from '#core/follow/sheet'
import { FELT_PLACES, FELT_WORDS } from '#core/words'

/** One tap after an exercise: where it was felt. Whoever goes on with the next set has said nothing. */
defineProps<{ name: string }>()
const emit = defineEmits<{ said: [where: FeltPlace]; hurt: [] }>()
</script>

<template>
  <fieldset class="border-t-[1.5px] border-ink px-5 pb-2">
    <legend class="pt-2 text-[15px]">
      Where did you feel the <strong class="font-semibold">{{ name }}</strong>?
    </legend>
    <div class="grid grid-cols-3 gap-2">
      <button
        v-for="where in FELT_PLACES"
        :key="where"
        type="button"
        class="phone-control min-h-[44px]! px-1! text-[15px]!"
        @click="emit('said', where)"
      >
        {{ FELT_WORDS[where].asked }}
      </button>
      <button
        type="button"
        class="phone-control min-h-[44px]! px-1! text-[15px]!"
        @click="emit('hurt')"
      >
        A joint
      </button>
    </div>
  </fieldset>
</template>
