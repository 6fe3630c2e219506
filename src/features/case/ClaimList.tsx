'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core'
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable'
import { CSS } from '@dnd-kit/utilities'
import { useId, useState } from 'react'
import type { FindingOutcome } from '@/claims/finding'
import { claimTitle } from '@/words/en/claimTitle'
import type { ClaimWords } from '@/desk/claimDraft'
import { ClaimMark } from '@/ui/ClaimMark'
import { officerHere } from '@/ui/officer'
import { TextLink } from '@/ui/TextLink'
import { storeOrder } from './actions'

export type CaseClaim = ClaimWords &
  Readonly<{ id: string; outcome: FindingOutcome | null; isComputing: boolean }>

const Handle = chakra('button', {
  base: {
    minWidth: '24px',
    padding: '10px 10px 10px 2px',
    border: 0,
    bg: 'transparent',
    color: 'brass',
    cursor: 'grab',
    touchAction: 'none',
    lineHeight: 1,
  },
})

/** The claims of a case, which a drag or the arrow keys put in another order. */
export function ClaimList({ caseId, claims }: Readonly<{ caseId: string; claims: readonly CaseClaim[] }>) {
  const [order, setOrder] = useState(() => claims.map(({ id }) => id))
  const [problem, setProblem] = useState('')
  const sensors = useSensors(
    useSensor(PointerSensor),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  )
  const dndId = useId()
  const shown = inOrder(claims, order)
  const ids = shown.map(({ id }) => id)
  const onDragEnd = async ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return
    const moved = arrayMove(ids, ids.indexOf(String(active.id)), ids.indexOf(String(over.id)))
    setOrder(moved)
    const stored = await storeOrder(caseId, moved, officerHere())
    setProblem(stored.ok ? '' : stored.problem.message)
    if (!stored.ok) setOrder(ids)
  }
  return (
    <>
      <DndContext id={dndId} sensors={sensors} collisionDetection={closestCenter} onDragEnd={onDragEnd}>
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          <Box as="ol" borderBottom="1px solid" borderColor="rule" aria-label="Claims">
            {shown.map((claim) => (
              <ClaimRow key={claim.id} caseId={caseId} claim={claim} isAlone={shown.length === 1} />
            ))}
          </Box>
        </SortableContext>
      </DndContext>
      {problem && (
        <Box role="alert" color="finding.contradicted" marginTop="6px">
          {problem}
        </Box>
      )}
    </>
  )
}

function ClaimRow({
  caseId,
  claim,
  isAlone,
}: Readonly<{ caseId: string; claim: CaseClaim; isAlone: boolean }>) {
  const { setNodeRef, attributes, listeners, transform, transition } = useSortable({ id: claim.id })
  const moving = { transform: CSS.Translate.toString(transform), transition }
  return (
    <Box
      as="li"
      ref={setNodeRef}
      style={transform ? moving : undefined}
      borderTop="1px solid"
      borderColor="rule"
      bg="page"
    >
      <Flex align="center">
        {!isAlone && (
          <Handle {...attributes} {...listeners} type="button" aria-label={`Move: ${claimTitle(claim)}`}>
            ↕
          </Handle>
        )}
        <TextLink
          href={`/cases/${caseId}/claims/${claim.id}`}
          display="block"
          flex="1"
          minWidth="0"
          paddingBlock="10px"
          fontSize="16px"
        >
          <ClaimMark title={claimTitle(claim)} outcome={claim.outcome} isComputing={claim.isComputing} />
        </TextLink>
      </Flex>
    </Box>
  )
}

/** The claims in the order chosen here; those that were added since come last. */
function inOrder(claims: readonly CaseClaim[], order: readonly string[]): readonly CaseClaim[] {
  const placeOf = ({ id }: CaseClaim) => (order.includes(id) ? order.indexOf(id) : order.length)
  return claims.toSorted((a, b) => placeOf(a) - placeOf(b))
}
