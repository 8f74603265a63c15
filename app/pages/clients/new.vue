<template>
  <NewClientScreen />
</template>
