import type { Drawing } from '@skelby/core/sums/sums';
import { DriftPicture, LeanPicture, StoppingPicture, TurnPicture, WashPicture } from './motion-pictures';
import { FallPicture, GapPicture, HomePicture, ReturnPicture, SightPicture } from './place-pictures';

export interface SumPictureProps {
  readonly drawing: Drawing;
  /** A length in the school's units. */
  readonly say: (metres: number) => string;
}

export function SumDrawing({ drawing, say }: SumPictureProps) {
  switch (drawing.kind) {
    case 'stopping':
      return <StoppingPicture d={drawing} say={say} />;
    case 'wash':
      return <WashPicture d={drawing} say={say} />;
    case 'turn':
      return <TurnPicture d={drawing} say={say} />;
    case 'lean':
      return <LeanPicture d={drawing} say={say} />;
    case 'drift':
      return <DriftPicture d={drawing} say={say} />;
    case 'sight':
      return <SightPicture d={drawing} say={say} />;
    case 'home':
      return <HomePicture d={drawing} say={say} />;
    case 'return':
      return <ReturnPicture d={drawing} say={say} />;
    case 'gap':
      return <GapPicture d={drawing} say={say} />;
    case 'fall':
      return <FallPicture d={drawing} say={say} />;
  }
}
