import { useState } from 'react';

type Props = {
  readonly fileId: string;
  readonly frame: number;
  /** Pixels; 16 : 9. */
  readonly width: number;
};

/** A small picture of one frame; plain ground where the frame cannot be read. */
export const Still = ({ fileId, frame, width }: Props): React.JSX.Element => {
  const address = `/api/files/${fileId}/stills/${frame}.jpg`;
  const [missing, setMissing] = useState<string | null>(null);
  const size = { width, height: (width * 9) / 16 };
  const style = { display: 'block', background: 'var(--od-hairline)', objectFit: 'cover', ...size } as const;
  if (missing === address) return <div style={style} />;
  return <img loading="lazy" src={address} alt="" {...size} style={style} onError={() => setMissing(address)} />;
};
