<template>
  <ExercisesScreen />
</template>
