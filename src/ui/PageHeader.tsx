'use client'

import { Box } from '@chakra-ui/react/box'
import { Flex } from '@chakra-ui/react/flex'
import { chakra } from '@chakra-ui/react/styled-system'
import { Fragment, type ReactNode } from 'react'
import { BalanceMark } from './BalanceMark'
import { OfficerName } from './OfficerName'
import { PageLink } from './PageLink'
import { TextLink } from './TextLink'
import { ThemeToggle } from './ThemeToggle'

export type Crumb = Readonly<{ text: string; href?: string }>

const Brand = chakra(PageLink, {
  base: {
    display: 'flex',
    alignItems: 'center',
    gap: '10px',
    fontFamily: 'heading',
    fontSize: '18px',
    fontWeight: '600',
    whiteSpace: 'nowrap',
    textDecoration: 'none',
  },
})

const PLACES = [
  { name: 'docket', text: 'Docket', href: '/' },
  { name: 'bench', text: 'Bench', href: '/bench' },
  { name: 'planner', text: 'Planner', href: '/planner' },
  { name: 'reckoner', text: 'Reckoner', href: '/reckoner' },
  { name: 'instruments', text: 'Instruments', href: '/instruments' },
] as const
export type PlaceName = (typeof PLACES)[number]['name']

const Place = chakra(PageLink, {
  base: {
    color: 'quiet',
    textDecoration: 'none',
    whiteSpace: 'nowrap',
    lineHeight: '28px',
    borderBottom: '2px solid transparent',
    _hover: { color: 'ink' },
    '&[data-here]': { color: 'ink', borderColor: 'accent' },
  },
})

/**
 * Where one is, the way back and to the other places, and whatever the page has to say of its state.
 *
 * @param place - that the page belongs to
 * @param crumbs - the way from there to the page
 */
export function PageHeader({
  place = 'docket',
  crumbs = [],
  children,
}: Readonly<{
  place?: PlaceName
  crumbs?: readonly Crumb[]
  children?: ReactNode
}>) {
  return (
    <Flex
      as="header"
      position="sticky"
      top="0"
      zIndex="2"
      minHeight="46px"
      paddingInline="24px"
      gap={{ base: '6px 10px', md: '0 14px' }}
      align="center"
      wrap={{ base: 'wrap', lg: 'nowrap' }}
      bg="page"
      borderBottom="1px solid"
      borderColor="rule"
      _print={{ display: 'none' }}
    >
      <Brand href="/">
        <BalanceMark mark="supported" height={20} />
        True Weight
      </Brand>
      <Flex
        as="nav"
        aria-label="Places"
        gap="0 14px"
        wrap="wrap"
        order={{ base: 1, lg: 'initial' }}
        flexBasis={{ md: '100%', lg: 'auto' }}
      >
        {PLACES.map(({ name, text, href }) => (
          <Place
            key={name}
            href={href}
            data-here={name === place ? '' : undefined}
            aria-current={name === place && crumbs.length === 0 ? 'page' : undefined}
          >
            {text}
          </Place>
        ))}
      </Flex>
      <Crumbs crumbs={crumbs} />
      {children}
      <OfficerName />
      <ThemeToggle />
    </Flex>
  )
}

function Crumbs({ crumbs }: Readonly<{ crumbs: readonly Crumb[] }>) {
  if (crumbs.length === 0) return <Box flex="1" />
  return (
    <Flex
      as="nav"
      aria-label="Where you are"
      gap="8px"
      minWidth="0"
      flex={{ base: '1 0 100%', md: '1' }}
      order={{ base: 1, md: 'initial' }}
    >
      {crumbs.map(({ text, href }) => (
        <Fragment key={href ?? text}>
          <Box as="span" color="quiet" aria-hidden="true">
            /
          </Box>
          {href ? (
            <TextLink href={href} color="quiet" overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap">
              {text}
            </TextLink>
          ) : (
            <Box as="span" aria-current="page" whiteSpace="nowrap" overflow="hidden" textOverflow="ellipsis">
              {text}
            </Box>
          )}
        </Fragment>
      ))}
    </Flex>
  )
}
