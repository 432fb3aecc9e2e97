export { FontsDialog } from './components/FontsDialog'
