<script setup lang="ts">
useHead({ title: 'New client · Tholepin' })
</script>

<template>
  <div class="min-w-[1080px]">
    <AppBar />
    <main class="mx-auto max-w-[1180px] px-5 pt-5 pb-12">
      <h1 class="font-display text-[23px] leading-[27px]">
        New client
      </h1>
      <p class="text-ink2">
        A name and the months of training are enough to start; everything else has a usual value that you can change now or later.
      </p>
      <ProfileForm class="mt-4" :before="null" path="/api/clients" action="Open the board" @saved="id => navigateTo(`/clients/${id}/split`)" />
    </main>
  </div>
</template>
