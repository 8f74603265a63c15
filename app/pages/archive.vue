<template>
  <ArchiveScreen />
</template>
