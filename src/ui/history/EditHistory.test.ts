import { EditHistory } from './EditHistory'

function edited() {
  const drafts: Record<string, number> = { claim: 0, sample: 0 }
  const history = new EditHistory()
  for (const owner of Object.keys(drafts)) history.register<number>(owner, (value) => (drafts[owner] = value))
  const edit = (owner: string, key: string, after: number, now: number) => {
    history.record({ owner, key, before: drafts[owner], after }, now)
    drafts[owner] = after
  }
  return { drafts, history, edit }
}

test('edits of several drafts are undone in the order in which they were made, and done again', () => {
  const { drafts, history, edit } = edited()
  edit('claim', 'value', 1, 0)
  edit('sample', 'readings', 2, 5000)
  edit('claim', 'unit', 3, 10_000)
  history.undo()
  expect(drafts).toEqual({ claim: 1, sample: 2 })
  history.undo()
  history.undo()
  expect(drafts).toEqual({ claim: 0, sample: 0 })
  expect(history.state()).toBe('redo')
  history.redo()
  history.redo()
  expect(drafts).toEqual({ claim: 1, sample: 2 })
  expect(history.state()).toBe('undo redo')
})

test('a word that is typed is one edit, and another field or a pause begins the next', () => {
  const { drafts, history, edit } = edited()
  edit('claim', 'value', 1, 0)
  edit('claim', 'value', 15, 300)
  edit('claim', 'value', 150, 3000)
  edit('claim', 'unit', 7, 3100)
  history.undo()
  expect(drafts.claim).toBe(150)
  history.undo()
  expect(drafts.claim).toBe(15)
  history.undo()
  expect(drafts.claim).toBe(0)
})

test('an edit after an undo forgets what was undone, and never joins what came before', () => {
  const { drafts, history, edit } = edited()
  edit('claim', 'value', 1, 0)
  history.undo()
  edit('claim', 'value', 2, 100)
  expect(history.state()).toBe('undo')
  history.undo()
  expect(drafts.claim).toBe(0)
})

test('an edit of a draft that is not shown stays until it is', () => {
  const { history, edit } = edited()
  edit('claim', 'value', 1, 0)
  const other = new EditHistory()
  other.record({ owner: 'gone', key: 'x', before: 0, after: 1 }, 0)
  other.undo()
  expect(other.state()).toBe('undo')
  let seen = -1
  other.register<number>('gone', (value) => (seen = value))
  other.undo()
  expect(seen).toBe(0)
  expect(history.state()).toBe('undo')
})
