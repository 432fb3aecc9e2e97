import { build, checkNode, install } from './steps.mjs'

checkNode()
install()
build()
