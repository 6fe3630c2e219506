'use client'

import { Box, chakra, Flex } from '@chakra-ui/react'
import NextLink from 'next/link'
import { Fragment, type ReactNode } from 'react'
import { BalanceMark } from './BalanceMark'
import { OfficerName } from './OfficerName'
import { TextLink } from './TextLink'
import { ThemeToggle } from './ThemeToggle'

export type Crumb = Readonly<{ text: string; href?: string }>

const Brand = chakra(NextLink, {
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

/** Where one is, the way back, and whatever the page has to say of its state. */
export function PageHeader({
  crumbs,
  children,
}: Readonly<{ crumbs: readonly Crumb[]; children?: ReactNode }>) {
  return (
    <Flex
      as="header"
      position="sticky"
      top="0"
      zIndex="2"
      minHeight="46px"
      paddingInline="24px"
      gap={{ base: '6px 10px', md: '14px' }}
      align="center"
      wrap={{ base: 'wrap', md: 'nowrap' }}
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
        aria-label="Where you are"
        gap="8px"
        minWidth="0"
        flex={{ base: '1 0 100%', md: '1' }}
        order={{ base: 1, md: 'initial' }}
      >
        {crumbs.map(({ text, href }, index) => (
          <Fragment key={href ?? text}>
            {index > 0 && (
              <Box as="span" color="quiet" aria-hidden="true">
                /
              </Box>
            )}
            {href ? (
              <TextLink
                href={href}
                color="quiet"
                overflow="hidden"
                textOverflow="ellipsis"
                whiteSpace="nowrap"
              >
                {text}
              </TextLink>
            ) : (
              <Box
                as="span"
                aria-current="page"
                whiteSpace="nowrap"
                overflow="hidden"
                textOverflow="ellipsis"
              >
                {text}
              </Box>
            )}
          </Fragment>
        ))}
      </Flex>
      {children}
      <OfficerName />
      <ThemeToggle />
    </Flex>
  )
}
