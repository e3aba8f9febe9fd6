export {
  inOrder,
  latestStamp,
  liveRecords,
  recordBaseSchema,
  stampAfter,
  stampedAhead,
  withdrawalSchema,
  withdrawalsOf,
  withOlder,
  type Withdrawal,
} from './record';
