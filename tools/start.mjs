import { serve } from './serve.mjs'

await serve({ demo: false })
