<template>
  <TargetsScreen />
</template>
