<template>
  <ProfileScreen />
</template>
