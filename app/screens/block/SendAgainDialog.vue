<script setup lang="ts">
/** Asks before what the client has is replaced. */
const { pass } = defineProps<{ pass: number }>()
defineEmits<{ closed: []; confirmed: [] }>()
</script>

<template>
  <PanelDialog :title="`Rotation ${pass + 1} has been sent`" :width="460" @closed="$emit('closed')">
    <p class="mt-3">
      The client has these sessions already. Sent again, the ones that are not done yet are replaced
      by the plan as it is now; what is done or begun stays as it was prescribed.
    </p>
    <div class="mt-4 flex gap-2">
      <button type="button" class="control control-strong" @click="$emit('confirmed')">
        Send again
      </button>
      <button type="button" class="control" @click="$emit('closed')">Leave it as sent</button>
    </div>
  </PanelDialog>
</template>
