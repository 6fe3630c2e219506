import { Box } from '@chakra-ui/react/box'
import { PageHeader } from '@/ui/PageHeader'
import { PageTitle } from '@/ui/PageTitle'
import { Main } from '@/ui/Main'

export default function NotFound() {
  return (
    <>
      <PageHeader />
      <Main maxWidth="720px" marginInline="auto" padding="48px 24px">
        <PageTitle>There is nothing at this address.</PageTitle>
        <Box as="p" color="quiet" marginTop="8px">
          The case or the claim may have been copied from an address that is not complete. Look for it on the
          docket.
        </Box>
      </Main>
    </>
  )
}
