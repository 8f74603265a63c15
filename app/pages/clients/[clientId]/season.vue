<template>
  <SeasonScreen />
</template>
