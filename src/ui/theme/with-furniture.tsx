import type { ComponentType } from 'react';

/** A component that uses the component library, once both are loaded, in the chosen theme. */
export async function withFurniture<Props extends object>(
  loading: Promise<ComponentType<Props>>,
): Promise<ComponentType<Props>> {
  const [{ Furnished }, Component] = await Promise.all([import('./furnished'), loading]);
  return function FurnishedComponent(props: Props) {
    return (
      <Furnished>
        <Component {...props} />
      </Furnished>
    );
  };
}
