<template>
  <LogScreen />
</template>
