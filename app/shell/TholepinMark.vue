<template>
  <svg width="22" height="18" viewBox="0 0 22 18" aria-hidden="true" class="shrink-0">
    <path d="M1 14.5h20v2.5H1z" fill="currentColor" />
    <path d="M9.6 4.5h2.8v10H9.6z" fill="currentColor" />
    <circle cx="11" cy="3" r="2.6" fill="currentColor" />
    <path d="M2.5 11.5 19.5 6.2" stroke="var(--flex)" stroke-width="2.4" stroke-linecap="round" />
  </svg>
</template>
