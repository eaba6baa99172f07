/** A function of an object that is worked out once for each and kept as long as the object is. */
export function once<K extends object, V>(make: (key: K) => V): (key: K) => V {
  const known = new WeakMap<K, { readonly value: V }>();
  return (key) => {
    let kept = known.get(key);
    if (!kept) {
      kept = { value: make(key) };
      known.set(key, kept);
    }
    return kept.value;
  };
}
