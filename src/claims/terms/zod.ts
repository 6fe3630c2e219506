import * as z from 'zod/mini'
import en from 'zod/v4/locales/en.js'

// Its small half speaks no language of itself. It would else probe for eval, which a page with a strict
// Content-Security-Policy reports as an attack.
z.config({ ...en(), jitless: true })
