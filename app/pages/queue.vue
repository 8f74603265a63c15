<template>
  <QueueScreen />
</template>
