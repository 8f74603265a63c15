<template>
  <ProposalsScreen />
</template>
