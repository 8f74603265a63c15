<template>
  <PlateauScreen />
</template>
