<template>
  <GuideScreen />
</template>
