/** What a query or an operation is called and what it answers: types alone, from which the document's schemas are made. */
export interface Answering<Name extends string, Answer> {
  readonly name: Name;
  readonly answers: Answer;
}
/** The answers of a list of those, by name. */
export type AnswersOf<Each> = {
  readonly [One in Each as One extends Answering<infer Name, unknown> ? Name : never]: One extends Answering<
    string,
    infer Answer
  >
    ? Answer
    : never;
};
