/** A binary heap of numbers by key, ties by the order in which they came, so that no order ever depends on the heap. In typed arrays that grow. */
export class KeyHeap {
  private keys = new Float64Array(64);
  private orders = new Int32Array(64);
  private values = new Int32Array(64);
  private counter = 0;
  size = 0;
  /** The key of what was popped last. */
  key = 0;

  clear(): void {
    this.size = 0;
    this.counter = 0;
  }

  push(key: number, value: number): void {
    if (this.size === this.keys.length) this.grow();
    const { keys, orders, values } = this;
    const order = this.counter++;
    let i = this.size++;
    while (i > 0) {
      const up = (i - 1) >> 1;
      // what came before wins a tie, so the new one climbs only over greater keys
      if (keys[up]! <= key) break;
      keys[i] = keys[up]!;
      orders[i] = orders[up]!;
      values[i] = values[up]!;
      i = up;
    }
    keys[i] = key;
    orders[i] = order;
    values[i] = value;
  }

  /** The value of the least key, which is kept in `key`; −1 where there is none. */
  pop(): number {
    if (this.size === 0) return -1;
    const { keys, orders, values } = this;
    const top = values[0]!;
    this.key = keys[0]!;
    const last = --this.size;
    const [key, order, value] = [keys[last]!, orders[last]!, values[last]!];
    let i = 0;
    for (let child = 1; child < last; child = 2 * i + 1) {
      if (child + 1 < last && this.isBefore(child + 1, keys[child]!, orders[child]!)) child++;
      if (!this.isBefore(child, key, order)) break;
      keys[i] = keys[child]!;
      orders[i] = orders[child]!;
      values[i] = values[child]!;
      i = child;
    }
    keys[i] = key;
    orders[i] = order;
    values[i] = value;
    return top;
  }

  private isBefore(i: number, key: number, order: number): boolean {
    const at = this.keys[i]!;
    return at < key || (at === key && this.orders[i]! < order);
  }

  private grow(): void {
    const size = this.keys.length * 2;
    const [keys, orders, values] = [new Float64Array(size), new Int32Array(size), new Int32Array(size)];
    keys.set(this.keys);
    orders.set(this.orders);
    values.set(this.values);
    [this.keys, this.orders, this.values] = [keys, orders, values];
  }
}
