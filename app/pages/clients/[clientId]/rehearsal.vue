<template>
  <RehearsalScreen />
</template>
