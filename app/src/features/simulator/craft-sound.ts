import type { Heard } from '@skelby/core/simulator/heard';

/** The craft through the browser's own sound: a tone for each rotor, broken air for its wash, wind, and a warning. */

const MOST_ROTORS = 4;
const SOFT_S = 0.04;
/** What all of it may be at most: several tones add up. */
const FULL = { rotors: 0.16, wash: 0.5, wind: 0.22, beep: 0.08 } as const;
const BEEP_HZ = 1_750;
const BEEPS_A_SECOND = 2.5;

/** A second of noise, played round and round. */
function noiseOf(sound: AudioContext): AudioBufferSourceNode {
  const buffer = sound.createBuffer(1, sound.sampleRate, sound.sampleRate);
  const data = buffer.getChannelData(0);
  for (let i = 0; i < data.length; i += 1) data[i] = Math.random() * 2 - 1;
  const source = sound.createBufferSource();
  source.buffer = buffer;
  source.loop = true;
  return source;
}

interface Sounding {
  readonly tones: readonly OscillatorNode[];
  readonly rotors: GainNode;
  readonly wash: GainNode;
  readonly wind: GainNode;
  readonly beep: GainNode;
}

function soundingIn(sound: AudioContext, master: GainNode): Sounding {
  const silent = (into: AudioNode) => {
    const gain = sound.createGain();
    gain.gain.value = 0;
    gain.connect(into);
    return gain;
  };
  const filtered = (type: BiquadFilterType, hertz: number, into: AudioNode) => {
    const filter = sound.createBiquadFilter();
    filter.type = type;
    filter.frequency.value = hertz;
    filter.connect(into);
    return filter;
  };
  const [rotors, wash, wind, beep] = [silent(master), silent(master), silent(master), silent(master)];
  // Far overtones of a sawtooth hurt; of a rotor the air takes them.
  const body = filtered('lowpass', 2_400, rotors);
  const tones = Array.from({ length: MOST_ROTORS }, () => {
    const tone = sound.createOscillator();
    tone.type = 'sawtooth';
    tone.frequency.value = 0;
    tone.connect(body);
    tone.start();
    return tone;
  });
  const noise = noiseOf(sound);
  noise.connect(filtered('bandpass', 140, wash));
  noise.connect(filtered('lowpass', 420, wind));
  noise.start();
  const warning = sound.createOscillator();
  warning.type = 'square';
  warning.frequency.value = BEEP_HZ;
  warning.connect(beep);
  warning.start();
  return { tones, rotors, wash, wind, beep };
}

export class CraftSound {
  private sound: AudioContext | null = null;
  private master: GainNode | null = null;
  private sounding: Sounding | null = null;

  /** From a touch alone: a browser lets sound begin with nothing else. @param volume 0 to 1; 0 begins nothing */
  start(volume: number): void {
    if (volume <= 0 || !('AudioContext' in globalThis)) return this.stop();
    if (!this.sound) {
      this.sound = new AudioContext();
      this.master = this.sound.createGain();
      this.master.connect(this.sound.destination);
      this.sounding = soundingIn(this.sound, this.master);
    }
    this.master!.gain.value = volume;
    void this.sound.resume();
    return undefined;
  }

  /** What is heard now. @param warns the craft itself gives a warning */
  set({ bladeHz, loudness, wash, wind }: Heard, warns: boolean): void {
    if (!this.sound || !this.sounding) return;
    const now = this.sound.currentTime;
    const { tones, rotors, wash: broken, wind: air, beep } = this.sounding;
    const to = (of: AudioParam, value: number) => of.setTargetAtTime(value, now, SOFT_S);
    for (const [i, tone] of tones.entries()) to(tone.frequency, bladeHz[i % bladeHz.length] ?? 0);
    to(rotors.gain, (FULL.rotors * loudness) / Math.sqrt(tones.length));
    // Beaten air thumps: it comes and goes, faster than one can count.
    to(broken.gain, FULL.wash * wash * (0.6 + 0.4 * Math.sin(now * 40)));
    to(air.gain, FULL.wind * wind);
    to(beep.gain, warns && (now * BEEPS_A_SECOND) % 1 < 0.4 ? FULL.beep : 0);
  }

  /** Nothing more is flown. */
  hush(): void {
    this.set({ bladeHz: [0], loudness: 0, wash: 0, wind: 0 }, false);
  }

  stop(): void {
    const sound = this.sound;
    [this.sound, this.master, this.sounding] = [null, null, null];
    if (sound) void sound.close();
  }
}
