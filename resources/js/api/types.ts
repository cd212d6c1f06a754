import type { components } from './schema';

type Schemas = components['schemas'];

export type Session = Schemas['SessionView'];
export type Person = Schemas['PersonView'];
export type Knowledge = Schemas['KnowledgeView'];
export type Named = Schemas['NamedView'];
export type FindingName = Schemas['FindingNameView'];
export type Bench = Schemas['BenchView'];
export type BenchLine = Schemas['BenchLine'];
export type Job = Schemas['JobView'];
export type Station = Job['station'];
export type MachineSummary = Schemas['MachineSummary'];
export type Passport = Schemas['PassportView'];
export type Fitting = Schemas['FittingView'];
export type Diagnosis = Schemas['DiagnosisView'];
export type Suspect = Schemas['SuspectView'];
export type Step = Schemas['StepView'];
export type Answer = Schemas['AnswerView'];
export type Proof = Schemas['ProofView'];
export type Confirmed = Schemas['ConfirmedView'];
export type WayOut = Schemas['WayOutView'];
export type Part = Schemas['PartView'];
export type Movement = Schemas['MovementView'];
export type ScanHit = Schemas['ScanHit'];
