'use client'

import { chakra } from '@chakra-ui/react/styled-system'
import { Button } from '@/ui/Button'
import { PageTitle } from '@/ui/PageTitle'
import { Main } from '@/ui/Main'

/** Shown where a page cannot be made, for instance because the server cannot reach its database. */
export default function PageError({
  error,
  reset,
}: Readonly<{ error: Error & { digest?: string }; reset: () => void }>) {
  return (
    <Main maxWidth="720px" marginInline="auto" padding="48px 24px">
      <PageTitle>This page could not be made.</PageTitle>
      <chakra.p color="quiet" marginBlock="8px 16px">
        What is stored is untouched. The server’s own output says more
        {error.digest ? ` under ${error.digest}` : ''}.
      </chakra.p>
      <Button type="button" onClick={reset}>
        Try again
      </Button>
    </Main>
  )
}
