import { defaultBaseConfig } from '@chakra-ui/react/preset-base'
import { createSystem, defineConfig } from '@chakra-ui/react/styled-system'

const both = (light: string, dark: string) => ({ value: { base: light, _dark: dark } })

const config = defineConfig({
  globalCss: {
    // What is scrolled to must not end up under the header.
    html: { bg: 'page', color: 'ink', fontFamily: 'body', lineHeight: '1.45', scrollPaddingTop: '64px' },
    'html, body': { minHeight: '100vh', margin: 0 },
    body: { fontSize: '14px' },
    '*, *::before, *::after': {
      boxSizing: 'border-box',
      borderColor: 'rule',
      _motionReduce: { transition: 'none !important' },
    },
    'h1, h2, h3, p, ul, ol, dl, dd, figure': { margin: 0, padding: 0 },
    'ul, ol': { listStyle: 'none' },
    'button, input, select, textarea': { font: 'inherit', color: 'inherit', letterSpacing: 'inherit' },
    a: { color: 'inherit' },
    ':focus-visible': {
      outlineWidth: '2px',
      outlineStyle: 'solid',
      outlineColor: 'accent',
      outlineOffset: '2px',
      borderRadius: '2px',
    },
    '::selection': { bg: 'selection' },
    // An example in a field is no statement: on paper the field is empty.
    '::placeholder': { _print: { color: 'transparent' } },
  },
  theme: {
    breakpoints: { sm: '480px', md: '900px', lg: '1180px' },
    tokens: {
      fonts: {
        heading: { value: '"Source Serif 4", Georgia, serif' },
        body: { value: '"IBM Plex Sans", system-ui, sans-serif' },
        mono: { value: '"IBM Plex Mono", ui-monospace, monospace' },
      },
      radii: { sm: { value: '2px' }, md: { value: '4px' } },
    },
    semanticTokens: {
      colors: {
        page: both('#F6F3EC', '#14191B'),
        surface: both('#FFFDF8', '#1B2225'),
        ink: both('#1E2A2F', '#E9E4D8'),
        quiet: both('#5B676B', '#A3ADAE'),
        rule: both('#DDD6C7', '#39444A'),
        /** The edge of a box to type in, which has to be seen: 3:1 against page and surface. */
        edge: both('#857E6D', '#76838A'),
        accent: both('#1F5A57', '#6DB8B1'),
        brass: both('#8C5F10', '#D9A441'),
        selection: both('#CFE3DF', '#2C4F4C'),
        finding: {
          contradicted: both('#A63A1E', '#F0876A'),
          supported: both('#1F6B45', '#6CC596'),
          undecided: both('#5B5A8A', '#AFAEE0'),
          open: both('#5B676B', '#A3ADAE'),
        },
        /** What is printed stays as it will be on paper, by day and by night. */
        paper: { ground: both('#FFFFFF', '#FFFFFF'), quiet: both('#5B676B', '#5B676B') },
        warning: both('#8A6100', '#E0B04C'),
      },
    },
  },
})

const made = createSystem(defaultBaseConfig, config)
const recipes = new WeakMap<object, unknown>()

/** A component asks for its recipe whenever it is drawn; that of one component is made once. */
const cva = ((recipe: object = {}) => {
  if (!recipes.has(recipe)) recipes.set(recipe, made.cva(recipe))
  return recipes.get(recipe)
}) as typeof made.cva

/** The look of the whole application; components name only these tokens. */
export const system = { ...made, cva }
