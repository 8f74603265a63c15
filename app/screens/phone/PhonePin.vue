<script setup lang="ts">
/** Asks for the PIN of a link, once on each phone. */
const { complaint } = defineProps<{ complaint: string }>()
const emit = defineEmits<{ entered: [pin: string] }>()
const pin = ref('')
</script>

<template>
  <main class="flex flex-col gap-4 px-5 pt-10">
    <h1 class="font-display text-[30px]">Your PIN</h1>
    <form
      class="flex flex-col gap-4"
      @submit.prevent="/^\d{4,8}$/.test(pin) && emit('entered', pin)"
    >
      <label class="text-[16px]"
        >The digits your coach told you<input
          v-model="pin"
          inputmode="numeric"
          autocomplete="one-time-code"
          type="password"
          maxlength="8"
          class="mt-2 min-h-[60px] w-full rounded-lg border border-edge bg-paper px-4 text-center font-display text-[30px] tracking-[0.3em]"
          :aria-invalid="complaint !== ''"
      /></label>
      <p v-if="complaint" role="alert" class="text-[16px] font-semibold text-alert">
        {{ complaint }}
      </p>
      <button type="submit" class="phone-log" :disabled="!/^\d{4,8}$/.test(pin)">
        Open my sheet
      </button>
    </form>
  </main>
</template>
