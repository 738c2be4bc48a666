import { speak } from './words'

await speak('en')
