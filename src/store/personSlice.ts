import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { z } from 'zod';
import { headSchema } from '@/core/records/shapes';
import { readStored } from './readStored';

const typed = z.array(z.string());

/** A person as she stands in the form: what is typed, right or wrong. */
export const headDraftSchema = z.strictObject({
  name: z.string(),
  lengthCm: z.string(),
  strand: headSchema.shape.strand,
  curl: headSchema.shape.curl,
  density: headSchema.shape.density,
  allergies: typed,
  porosityGuess: headSchema.shape.porosityGuess,
  complaints: typed,
  firstComplaints: headSchema.shape.firstComplaints,
  /** Minutes, Sunday first. */
  free: typed.length(7),
  /** Hours at which a wash may begin, Sunday first. */
  from: typed.length(7),
  /** Places of the evenings in the week that are hers, as text. */
  nights: typed,
  comfort: headSchema.shape.comfort,
  school: headSchema.shape.school,
  sensitive: z.enum(['no', 'yes']),
  ageBand: headSchema.shape.ageBand,
  /** By region; empty where it is as long as the hair is said to be. */
  lengths: z.strictObject({ front: z.string(), crown: z.string(), sides: z.string(), nape: z.string() }),
  chemistry: typed,
  health: typed,
});
export type HeadDraft = z.infer<typeof headDraftSchema>;

/** Somebody who is being told of for the first time, and how far that is; null where nobody is. */
const newPersonSchema = z.strictObject({ step: z.number(), draft: headDraftSchema }).nullable();
export type NewPerson = Readonly<z.infer<typeof newPersonSchema>>;

export const personSlice = createSlice({
  name: 'person',
  initialState: null as NewPerson,
  reducers: {
    personLoaded: (_, action: PayloadAction<NewPerson>) => action.payload,
    personKept: (_, action: PayloadAction<NewPerson>) => action.payload,
  },
});

export const { personLoaded, personKept } = personSlice.actions;
export const selectNewPerson = (root: { readonly person: NewPerson }) => root.person;

/** Stored text to what it holds; what cannot be read is nobody. */
export const readNewPerson = (text: string | null): NewPerson => readStored(newPersonSchema, text, null);
