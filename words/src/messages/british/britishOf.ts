/** What a British and Commonwealth table says otherwise; for the rest the North American one stands. */
export type BritishOf<Table> = { readonly [K in keyof Table]?: string };
