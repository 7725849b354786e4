import type { GeoTIFFImage } from 'geotiff';
import type { GeoTags } from './geo-keys';

type Tag = 'ModelPixelScale' | 'ModelTiepoint' | 'ModelTransformation';

/** True for the first bytes of a TIFF, of either byte order. */
export const isTiff = ([first, second]: Uint8Array): boolean =>
  (first === 0x49 && second === 0x49) || (first === 0x4d && second === 0x4d);

/** The tags of a GeoTIFF that tell where it is. */
export async function readGeoTags(image: GeoTIFFImage): Promise<GeoTags> {
  const tag = async (name: Tag) =>
    (await image.fileDirectory.loadValue(name)) as ArrayLike<number> | undefined;
  return {
    ModelPixelScale: await tag('ModelPixelScale'),
    ModelTiepoint: await tag('ModelTiepoint'),
    ModelTransformation: await tag('ModelTransformation'),
    keys: image.getGeoKeys() ?? {},
  };
}
