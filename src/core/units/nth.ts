/**
 * An item that has to be there, such as the place of a station that was made with its leg. Outside
 * of kernels this says what is missing, where reading past the end would go on with `undefined`.
 *
 * @throws RangeError where there is no such item.
 */
export function nth<Each>(items: ArrayLike<Each>, index: number): Each {
  const item = items[index];
  if (item === undefined) throw new RangeError(`no item ${index} of ${items.length}`);
  return item;
}
