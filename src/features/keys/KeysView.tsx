'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import type { RegisteredKey } from '@/desk/trail/keyRegister'
import { keyWords } from '@/words/en/signatureWords'
import { instantWords } from '@/words/en/trailWords'
import { ActionButton } from '@/ui/ActionButton'
import { DownloadLink } from '@/ui/DownloadLink'
import { Main } from '@/ui/Main'
import { PageTitle } from '@/ui/PageTitle'
import { OwnKey } from './OwnKey'
import { withdraw } from './actions'

const Head = chakra('th', {
  base: { textAlign: 'left', fontWeight: '400', color: 'quiet', padding: '6px 18px 6px 0' },
})
const Cell = chakra('td', {
  base: { padding: '6px 18px 6px 0', borderTop: '1px solid', borderColor: 'rule' },
})

type Props = Readonly<{
  keys: readonly RegisteredKey[]
  /** The first entry of the register that is not what was written. */
  brokenAt: number | undefined
  /** The hash that the register ends with. */
  head: string | undefined
}>

/** The key of whoever works at this browser, and the office's register of everybody's. */
export function KeysView({ keys, brokenAt, head }: Props) {
  return (
    <Main maxWidth="960px" marginInline="auto" padding="28px 24px 64px">
      <PageTitle>Keys</PageTitle>
      <Box as="p" marginTop="8px" maxWidth="72ch">
        A finding that is signed with a key can be signed by nobody who does not hold it. The secret half
        stays with its holder; the register of the office says whose it is.
      </Box>
      <OwnKey keys={keys} />
      <Box as="h2" fontFamily="heading" fontSize="20px" marginTop="28px">
        Register
      </Box>
      {brokenAt !== undefined && (
        <Box as="p" role="alert" color="finding.contradicted" marginTop="6px">
          Entry {brokenAt} of the register is not what was written. No key on it stands for anybody until a
          backup is restored.
        </Box>
      )}
      {keys.length === 0 ? (
        <Box as="p" color="quiet" marginTop="6px">
          No key is on it yet.
        </Box>
      ) : (
        <Registered keys={keys} />
      )}
      {head && (
        <>
          <Box as="p" marginTop="12px" color="quiet" wordBreak="break-word">
            The register is a chain, as a trail is, and ends with{' '}
            <chakra.span fontFamily="mono">{head}</chakra.span>. Keep that where others see it.
          </Box>
          <Box marginTop="6px">
            <DownloadLink href="/api/keys/register">Save the register as a file</DownloadLink>
          </Box>
        </>
      )}
    </Main>
  )
}

function Registered({ keys }: Readonly<{ keys: readonly RegisteredKey[] }>) {
  return (
    <Box overflowX="auto">
      <chakra.table borderCollapse="collapse" marginTop="8px" width="100%" aria-label="Register of keys">
        <thead>
          <tr>
            <Head scope="col">Name</Head>
            <Head scope="col">Fingerprint of the key</Head>
            <Head scope="col">Entered</Head>
            <Head scope="col">Withdrawn</Head>
          </tr>
        </thead>
        <tbody>
          {keys.map(({ key, name, from, until }) => (
            <tr key={key}>
              <Cell>{name}</Cell>
              <Cell fontFamily="mono" fontSize="13px" wordBreak="break-all">
                {key}
              </Cell>
              <Cell>{instantWords(from)}</Cell>
              <Cell>
                {until ? (
                  instantWords(until)
                ) : (
                  <Flex>
                    <ActionButton
                      action={(by) => withdrawn(key, by)}
                    >{`Withdraw ${keyWords(key)}`}</ActionButton>
                  </Flex>
                )}
              </Cell>
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  )
}

async function withdrawn(key: string, by: string): Promise<void> {
  const question = `Withdraw the key ${keyWords(key)}? What it signed stays signed; nothing more is signed with it.`
  if (!window.confirm(question)) return
  const outcome = await withdraw(key, by)
  if (!outcome.ok) window.alert(outcome.problem.message)
}
