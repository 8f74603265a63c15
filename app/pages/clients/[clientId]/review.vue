<template>
  <ReviewScreen />
</template>
