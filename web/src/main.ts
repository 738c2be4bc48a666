import { reader, speak } from './words/words'

// words first: what the rest says is told when it is loaded
await speak(reader().language)
await import('./app')
