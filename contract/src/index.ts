export { compute, type ComputeError, type ComputeOutcome } from './compute/compute.ts';
export { invalidAgainst, type Invalid } from './validation.ts';
export { NullableNumber, NullableString, Type, Words, type Static, type TSchema } from './schema.ts';
