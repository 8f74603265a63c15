<script setup lang="ts">
/** Another name and other words for a template of one's own. */
const { template, rename } = defineProps<{
  template: { readonly id: string; readonly name: string; readonly about: string }
  /** Gives what is wrong; nothing where it was kept. */
  rename: (id: string, names: { name: string; reason: string }) => Promise<string>
}>()
const emit = defineEmits<{ closed: [] }>()
const name = ref(template.name)
const reason = ref(template.about)
const problem = ref('')
const id = useId()
const field = useTemplateRef<HTMLInputElement>('field')
onMounted(() => field.value?.select())
async function keep(): Promise<void> {
  problem.value = await rename(template.id, { name: name.value, reason: reason.value })
  if (problem.value === '') emit('closed')
  else field.value?.focus()
}
</script>

<template>
  <form
    class="flex flex-wrap items-end gap-2"
    @submit.prevent="keep"
    @keydown.escape.stop="emit('closed')"
  >
    <label class="flex min-w-[140px] flex-1 flex-col text-[12px]"
      >Name<input
        ref="field"
        v-model="name"
        dir="auto"
        class="small-field"
        :maxlength="LIMITS.name"
        :aria-invalid="problem !== ''"
        :aria-describedby="problem === '' ? undefined : `${id}-problem`"
    /></label>
    <label class="flex min-w-[160px] flex-[2] flex-col text-[12px]"
      >What it is for<input v-model="reason" dir="auto" class="small-field"
    /></label>
    <button type="submit" class="control">Keep the names</button>
    <button type="button" class="control" @click="emit('closed')">Cancel</button>
    <p v-if="problem !== ''" :id="`${id}-problem`" role="alert" class="alert-chip w-full">
      {{ problem }}
    </p>
  </form>
</template>
