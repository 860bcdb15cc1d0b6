import { ClauseStore } from "./clauses";
import type { Literals } from "./literals";
import { CLAUSE, reason } from "./reason";
import { firstAbove, Watches, type Watch } from "./watches";

/** What the clauses need of the engine that they draw conclusions for. */
export interface BoundStore {
  /** Lower bound of each node; a literal (node, value) is true when it is reached. */
  readonly lb: Int32Array;
  /** Raises a node to a value for a reason. False: a contradiction. */
  enqueue(node: number, value: number, reason: number): boolean;
}

/** Clauses of which each watches two literals: only when one of the two turns false is the clause looked at. */
export class WatchedClauses {
  private readonly store = new ClauseStore();
  /** By the nodes that the opposites of watched literals are about. */
  private readonly watches = new Watches();

  constructor(private readonly engine: BoundStore) {}

  get count(): number {
    return this.store.count;
  }

  addNode(): void {
    this.watches.addNode();
  }

  /** Adds a clause of two literals or more (node, value pairs); the first two are watched. @returns its position */
  add(literals: readonly number[], learned: boolean, lbd: number, activity?: number): number {
    const at = this.store.add(literals, learned, lbd, activity);
    this.watch(at, 0);
    this.watch(at, 1);
    return at;
  }

  private watch(at: number, which: number): void {
    const { arena } = this.store;
    const own = at + 1 + 2 * which;
    const other = at + 3 - 2 * which;
    this.watches.at(arena[own] ^ 1, 1 - arena[own + 1]).add(at, arena[other], arena[other + 1]);
  }

  /**
   * Draws what follows from a rise of the node above `old`: what was false before has been looked at then. False: a
   * contradiction, with the engine's conflict set.
   */
  follow(node: number, old: number): boolean {
    const list = this.watches.of[node];
    const value = this.engine.lb[node];
    for (let k = firstAbove(list, old); k < list.length && list[k].bound <= value; k++)
      if (!this.lookAt(list[k], node)) return false;
    return true;
  }

  /** A bound that clauses watch is reached: each watches another literal, or what is left of it must hold. */
  private lookAt(watch: Watch, node: number): boolean {
    const { engine, watches } = this;
    const { lb } = engine;
    const { arena } = this.store;
    const { row, used, bound } = watch;
    let kept = 0;
    let k = 0;
    let good = true;
    for (; good && k < used; k += 3) {
      const at = row[k];
      let first = row[k + 1];
      let firstValue = row[k + 2];
      if (lb[first] < firstValue) {
        // The false literal goes to the second place.
        if ((arena[at + 1] ^ 1) === node && 1 - arena[at + 2] === bound) swap(arena, at + 1, at + 3);
        first = arena[at + 1];
        firstValue = arena[at + 2];
        if (lb[first] < firstValue) {
          const other = anotherWatch(arena, at, lb);
          if (other >= 0) {
            // Never to this node again: a clause has one literal of each.
            watches.at(arena[other] ^ 1, 1 - arena[other + 1]).add(at, first, firstValue);
            swap(arena, other, at + 3);
            continue;
          }
          good = engine.enqueue(first, firstValue, reason(CLAUSE, at));
        }
      }
      row[kept] = at;
      row[kept + 1] = first;
      row[kept + 2] = firstValue;
      kept += 3;
    }
    if (kept < k) row.copyWithin(kept, k, used);
    watch.used = used - (k - kept);
    return good;
  }

  /** Appends the literals by which a clause forced "node ≥ value"; the clause has earned credit. */
  explain(at: number, node: number, value: number, into: Literals): void {
    const { arena } = this.store;
    const size = arena[at];
    this.store.credit(at);
    for (let j = 0; j < size; j++) {
      const n = arena[at + 1 + 2 * j];
      const v = arena[at + 2 + 2 * j];
      if (n === node && v >= value) continue;
      into.add(n ^ 1, 1 - v);
    }
  }

  /** Later credit counts for more. */
  age(): void {
    this.store.age();
  }

  /**
   * Forgets the less useful half of what was learned. Only at the root.
   * @returns what is left of clauses that the root has settled but for one literal, or for none
   */
  forget(): number[][] {
    const { lb } = this.engine;
    const settled: number[][] = [];
    const useful = this.store.takeUseful();
    this.watches.clear();
    for (const { literals, learned, lbd, activity } of useful) {
      // What the root has settled meanwhile is dropped or shortened.
      const open: number[] = [];
      let holds = false;
      for (let k = 0; k < literals.length && !holds; k += 2) {
        if (lb[literals[k]] >= literals[k + 1]) holds = true;
        else if (literals[k + 1] + lb[literals[k] ^ 1] <= 0) open.push(literals[k], literals[k + 1]);
      }
      if (holds) continue;
      if (open.length < 4) settled.push(open);
      else this.add(open, learned, lbd, activity);
    }
    return settled;
  }
}

/** Where in the arena a literal of the clause lies that is not false and not watched yet; −1: there is none. */
function anotherWatch(arena: Int32Array, at: number, lb: Int32Array): number {
  const end = at + 1 + 2 * arena[at];
  for (let k = at + 5; k < end; k += 2) if (arena[k + 1] + lb[arena[k] ^ 1] <= 0) return k;
  return -1;
}

/** Two literals of a clause change places. */
function swap(arena: Int32Array, a: number, b: number): void {
  const node = arena[a];
  const value = arena[a + 1];
  arena[a] = arena[b];
  arena[a + 1] = arena[b + 1];
  arena[b] = node;
  arena[b + 1] = value;
}
