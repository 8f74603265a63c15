export { teardown as default } from './jestDatabase.mjs'
