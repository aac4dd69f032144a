import type { Region } from '@odograph/core';
import { useState } from 'react';

type Props = {
  readonly fileId: string;
  readonly frame: number;
  /** Pixels; 16 : 9. */
  readonly width: number;
  /** Only this part of the picture is shown. */
  readonly region?: Region | null;
};

/** A small picture of one frame; plain ground where the frame cannot be read. */
export const Still = ({ fileId, frame, width, region = null }: Props): React.JSX.Element => {
  const address = `/api/files/${fileId}/stills/${frame}.jpg`;
  const [missing, setMissing] = useState<string | null>(null);
  const size = { width, height: (width * 9) / 16 };
  const style = { display: 'block', background: 'var(--od-hairline)', objectFit: 'cover', ...size } as const;
  if (missing === address) return <div style={style} />;
  if (!region)
    return <img loading="lazy" src={address} alt="" {...size} style={style} onError={() => setMissing(address)} />;
  const share = region.right - region.left;
  return (
    <div style={{ ...style, overflow: 'hidden', position: 'relative' }}>
      <img
        loading="lazy"
        src={address}
        alt=""
        style={{
          ...{ position: 'absolute', maxWidth: 'none', width: width / share, left: (-region.left * width) / share },
          transform: `translateY(${-100 * region.top}%)`,
        }}
        onError={() => setMissing(address)}
      />
    </div>
  );
};
