import type { PictureSize } from '@odograph/core';
import type { ComponentProps } from 'react';

/** What lies on a picture as the picture lies in its box: a point in its own pixels is where that pixel is shown, at any size. */
export const OverPicture = ({
  size,
  style,
  ...props
}: ComponentProps<'svg'> & { readonly size: PictureSize }): React.JSX.Element => (
  <svg
    viewBox={`0 0 ${size.width} ${size.height}`}
    preserveAspectRatio="xMidYMid meet"
    {...props}
    style={{ position: 'absolute', inset: 0, width: '100%', height: '100%', ...style }}
  />
);
