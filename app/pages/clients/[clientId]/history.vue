<template>
  <HistoryScreen />
</template>
