<template>
  <SignUpScreen />
</template>
