import { z } from 'zod'

/** No compiling of schemas at run time: a strict content security policy forbids it, and says so on the console when it is tried. */
z.config({ jitless: true })
