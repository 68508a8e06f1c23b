/** A text for every code; beside it those for one, and for what a statement says of its case. */
export type Texts<Code extends string> = Readonly<Record<Code, string>> &
  Readonly<Partial<Record<`${Code}_${string}`, string>>>;

/** The name of a code without its room: `margin` of `limit.margin`. */
export type Tail<Code extends string> = Code extends `${string}.${infer Name}` ? Name : never;
