/** Said of what was spoken of last, at the start of a sentence. */
export const PRONOUN =
  /^(?:and |so |yeah |okay |ok )*(?:(?:the |at its )?(?:deepest|worst)|i'd guess|i guess|my guess is|it|you can|i can|and you can|it's|its|that|that's|thats|this|they|they're|those|looks like it's|i'd call (?:it|that)|i'd say|call it|make it|about|maybe)\b/i;

/** Said of what was spoken of last. */
export const POINTS_BACK = /\b(?:that|this|it|those|these|them|there|here)\b/i;
/** "right at that transition", "at that joint". */
export const AT_THAT =
  /\b(?:at|in|on|by|near) (?:that|this|the same) (?:transition|change|joint|coupling|tee|wye|connection|spot)\b/i;
export const CALLS_IT = /\bcall (?:it|that|this) (?!maybe|about|\d)/i;
/** "and at thirty three it's worse": the same once more, at another footage. */
export const SAME_AGAIN =
  /^(?:(?:and|then|now|so|okay)[, ]+)*(?:at )?[\w .]+?,? (?:it's|its|they're|it gets|they get) (?:even |a little |a lot |much )?(?:worse|heavier|bigger|thicker|lighter|better|the same|back|there again|again)\b/i;
/** Said of one more of the same. */
export const ANOTHER = /\b(?:another|more|again|also|second|next|too)\b/i;
