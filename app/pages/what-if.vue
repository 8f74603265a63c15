<template>
  <WhatIfScreen />
</template>
