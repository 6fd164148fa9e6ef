import type { LabelLines } from '../words/labels.ts';
import type { DemoTools } from './demo/tools.ts';
import type { Operation } from './operations/operation.ts';
import type { Store } from './store/store.ts';
import type { Query } from './queries/query.ts';

/** What an activity that keeps subjects of its own brings to the server, once, for forms, API, labels and the demo house. */
export interface ServerActivity {
  readonly operations: readonly Operation[];
  readonly queries?: readonly Query[];
  /** What stands on the label of a subject of a kind. */
  readonly label?: { readonly kind: string; readonly lines: (store: Store, id: string) => LabelLines };
  readonly demo?: (tools: DemoTools) => void;
}
