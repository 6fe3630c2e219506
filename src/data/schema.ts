import { relations } from 'drizzle-orm'
import { claims, findings } from './tables/claims'
import { cases, samples } from './tables/samples'

export * from './tables/claims'
export * from './tables/keys'
export * from './tables/registers'
export * from './tables/samples'
export * from './tables/seals'
export * from './tables/trail'

export const casesRelations = relations(cases, ({ many }) => ({
  claims: many(claims),
  samples: many(samples),
}))

export const samplesRelations = relations(samples, ({ one }) => ({
  case: one(cases, { fields: [samples.caseId], references: [cases.id] }),
}))

export const claimsRelations = relations(claims, ({ one, many }) => ({
  case: one(cases, { fields: [claims.caseId], references: [cases.id] }),
  sample: one(samples, { fields: [claims.sampleId], references: [samples.id] }),
  findings: many(findings),
}))

export const findingsRelations = relations(findings, ({ one }) => ({
  claim: one(claims, { fields: [findings.claimId], references: [claims.id] }),
}))
