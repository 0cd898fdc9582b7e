/** Version of the computation. Kept with every accepted result, so that it can be told which code produced it. */
export const CORE_VERSION = '0.1.0';
