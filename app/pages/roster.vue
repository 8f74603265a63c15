<template>
  <RosterScreen />
</template>
