import type { TrainingCaseId } from '@skelby/core/agreement/training-cases';

interface CaseWords {
  /** As a student told it. */
  readonly told: string;
  /** What settles it, told once it is judged. */
  readonly settles: string;
}

/** Written for this: nobody flew them. */
export const TRAINING_CASE_WORDS: Readonly<Record<TrainingCaseId, CaseWords>> = {
  'back-from-the-hut': {
    told: 'I was bringing it back from the hut, slowly, and it slid off to my right. I gave it left to stop it and it went right all the more, faster, until it sat in the hedge.',
    settles: 'It pointed at the pilot, and the first correction made it worse: the mirrored stick.',
  },
  'the-second-ridge': {
    told: 'It was a dark dot over the second ridge. I knew where it was but not which way round. I tried a little forward to see, and it went behind the trees.',
    settles: 'The attitude could not be read any more. Nothing was mirrored: there was no picture to mirror.',
  },
  'straight-down-to-us': {
    told: 'Straight down from sixty metres, since the spot was so small. Halfway it began to shake and drop. I gave it more and more and it only dropped faster, into the gorse.',
    settles: 'Fast, straight down, shaking, and more throttle made it worse: its own wash.',
  },
  'the-larch': {
    told: 'I backed off to get the whole wall into the picture. The lower field was clear, I had walked it. It stopped dead against the larch behind it and fell out of the sky.',
    settles: 'It moved where nobody looked. That it was a tree is only what it hit.',
  },
  'too-late-for-the-mark': {
    told: 'I saw the fence the whole way. I let go of the stick at about where I always do, but we had the fast setting in, and it ran on through the wires.',
    settles: 'Seen, ahead, and braked too late for that setting: the distance was not there.',
  },
  'the-barn-door': {
    told: 'Lined up with the barn door and went for it at a walk. In the door it lifted on one side, I corrected, it rocked, and the left arm touched the frame.',
    settles: 'Slow through a gap where the air moves: too long between the posts.',
  },
  'under-the-cliff': {
    told: 'Close under the cliff it was fine for a while. Then it began to wander by itself, a couple of metres, hands off. The display said something about satellites. It drifted into the rock before I had understood.',
    settles: 'Position hold was gone and nobody flew it by hand. The rock was only where it ended.',
  },
  'the-sock-stood-out': {
    told: 'The sock stood straight out at the top. I flew the line as always, but after every turn it was further down the slope, and at the last one it went past the post on the wrong side and hit it.',
    settles: 'Hold on, craft healthy, and the air carried it further than was allowed for.',
  },
  'the-radio': {
    told: 'They called me on the radio just as I turned for home. I answered, three sentences perhaps. When I looked again it was nose-on and I could not say since when, and it clipped the mast.',
    settles:
      'Lost the thread first: the nose came round while nobody flew. What followed would not have begun.',
  },
  'it-went-up-by-itself': {
    told: 'I flew in under the roof of the shed. The link dropped. It was set to come home as it came from the box: it climbed by itself, into the beam.',
    settles: 'The link can always drop. What broke it was a return that climbs, under a roof.',
  },
  'it-would-not-stop': {
    told: 'I let go to let it stop, like every time. It did not. It leaned level and went on over the river at the same speed. Afterwards we saw the switch was one click further than I thought.',
    settles: 'He did the right thing for another mode than the one it was in.',
  },
  'chasing-it': {
    told: 'Hovering for the winch. It went a hand to the left, I brought it back and it went two to the right, then more to the left. Big sticks by then. It tipped when it touched.',
    settles: 'Each correction was larger than what it answered, and grew.',
  },
};
