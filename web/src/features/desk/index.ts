export { Desk } from './components/Desk'
