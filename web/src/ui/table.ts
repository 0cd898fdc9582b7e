/** Classes of dense tables: figures line up at the right, words at the left. */
export const TABLE = 'w-full border-collapse font-dense text-[14px]';
export const TH = 'border-b border-rule px-1.5 py-1.5 text-right text-[13px] font-semibold text-ink2';
export const TH_WORD = 'border-b border-rule px-1.5 py-1.5 text-left text-[13px] font-semibold text-ink2';
export const TD = 'figures border-b border-rule px-1.5 py-1 text-right whitespace-nowrap';
export const TD_WORD = 'border-b border-rule px-1.5 py-1 text-left';
