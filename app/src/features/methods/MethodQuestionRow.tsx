import { methodWords } from '@skelby/copy/methods';
import type { MethodQuestion } from '@skelby/core/methods/methods';
import { View } from 'react-native';
import { Choice, type Option } from '../../shared/forms/Choice';
import { Words } from '../../shared/ui/Words';

interface MethodQuestionRowProps {
  readonly question: MethodQuestion;
  readonly options: readonly Option<string>[];
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** One question of method, with what follows from its answers. */
export function MethodQuestionRow({ question, options, value, onChange }: MethodQuestionRowProps) {
  const { name, follows } = methodWords(question);
  return (
    <View style={{ gap: 6 }}>
      <Words as="strong">{name}</Words>
      <Choice quiet label={name} options={options} value={value} onChange={onChange} />
      <Words as="soft">{follows}</Words>
    </View>
  );
}
