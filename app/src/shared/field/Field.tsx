import type { Mark } from '@skelby/core/choreography/scene';
import type { SimulatedScene } from '@skelby/core/simulator/simulated-flight';
import { forwardRef, type ReactNode, useEffect, useImperativeHandle, useRef, useState } from 'react';
import { View } from 'react-native';
import { themed, useTheme } from '../ui/theme';
import { Words } from '../ui/Words';
import type { Drawn, DrawnPose, PracticeView } from './view';

/** Height where there is room, px. */
export const FIELD_PX = 330;

const useStyles = themed((theme) => ({
  field: { borderWidth: 2, borderColor: theme.ink, backgroundColor: theme.shade },
  failed: { position: 'absolute', left: 10, right: 120, top: 10, gap: 6 },
  corner: { position: 'absolute', top: 6, right: 6 },
}));

export interface FieldHandle {
  readonly draw: (pose: DrawnPose) => Drawn | null;
  readonly showPath: (places: readonly (readonly [number, number, number])[] | null) => void;
}

interface FieldProps {
  /** On the screen, px. */
  readonly height: number;
  readonly spanM: number;
  readonly rotors: number;
  readonly marks: readonly Mark[];
  readonly scene: SimulatedScene;
  readonly throughCamera: boolean;
  /** How far the camera is tilted up, °. */
  readonly cameraDeg: number;
  readonly blind: boolean;
  /** In the corner: the field from above. */
  readonly inset?: ReactNode;
  readonly children?: ReactNode;
}

/** What draws arrives with the page, and is let go with it; the last pose is drawn again where it changes. */
function useView({ spanM, rotors, marks, scene, throughCamera, cameraDeg, blind }: FieldProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const box = useRef<HTMLDivElement>(null);
  const view = useRef<PracticeView | null>(null);
  const last = useRef<DrawnPose | null>(null);
  const path = useRef<Parameters<FieldHandle['showPath']>[0]>(null);
  const tilt = useRef(cameraDeg);
  tilt.current = cameraDeg;
  const [failed, setFailed] = useState<string | null>(null);
  useEffect(() => {
    let over = false;
    let watch: ResizeObserver | null = null;
    void import('./view')
      .then(({ PracticeView: View3d }) => {
        if (over || !canvas.current || !box.current) return;
        const made = new View3d(canvas.current, {
          spanM,
          rotors,
          marks,
          solids: scene.solids,
          wind: scene.wind,
        });
        made.cameraDeg = tilt.current;
        made.showPath(path.current);
        view.current = made;
        const fit = ({ width, height }: Pick<DOMRect, 'width' | 'height'>) => {
          made.resize(width, height);
          if (last.current) made.draw(last.current);
        };
        if ('ResizeObserver' in globalThis) {
          watch = new ResizeObserver(([entry]) => fit(entry!.contentRect));
          watch.observe(box.current);
        } else fit((box.current as HTMLDivElement).getBoundingClientRect());
        setFailed(null);
      })
      .catch((error: unknown) => {
        if (!over) setFailed(error instanceof Error ? error.message : String(error));
      });
    return () => {
      over = true;
      watch?.disconnect();
      view.current?.dispose();
      view.current = null;
    };
  }, [spanM, rotors, marks, scene]);
  useEffect(() => {
    if (!view.current) return;
    view.current.throughCamera = throughCamera;
    view.current.cameraDeg = cameraDeg;
    view.current.blind = blind;
    if (last.current) view.current.draw(last.current);
  }, [throughCamera, cameraDeg, blind]);
  return { canvas, box, view, last, path, failed };
}

/** The field in three dimensions. */
export const Field = forwardRef<FieldHandle, FieldProps>(function Field(props, handle) {
  const { height, throughCamera, inset, children } = props;
  const styles = useStyles();
  const theme = useTheme();
  const { canvas, box, view, last, path, failed } = useView(props);
  useImperativeHandle(
    handle,
    () => ({
      draw: (pose) => {
        last.current = pose;
        return view.current?.draw(pose) ?? null;
      },
      showPath: (places) => {
        path.current = places;
        view.current?.showPath(places);
        if (last.current) view.current?.draw(last.current);
      },
    }),
    [view, last, path],
  );
  return (
    <View style={[styles.field, { height }]}>
      <div ref={box} style={{ position: 'absolute', inset: 0 }}>
        <canvas
          ref={canvas}
          role="img"
          aria-label={
            throughCamera ? 'What the camera of the craft sees' : 'The field from where the pilot stands'
          }
          style={{ width: '100%', height: '100%', display: 'block' }}
        />
      </div>
      {failed ? (
        <View style={styles.failed} role="alert">
          <Words as="strong">! No picture: the part that draws did not start.</Words>
          <Words as="soft">{`Map and figures still show the flight. Reload the page, or try another browser. (${failed})`}</Words>
        </View>
      ) : null}
      {inset ? <View style={[styles.corner, { backgroundColor: theme.ground }]}>{inset}</View> : null}
      {children}
    </View>
  );
});
