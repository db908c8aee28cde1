import type { OtherSchool } from '@skelby/core/pages/people';
import { useState } from 'react';
import { useGoToSchool, useOtherSchools } from '../../offline/other-schools';
import { LeftBehind, useLeftBehind } from '../../offline/ui/LeftBehind';
import { ApiProblem } from '../../shared/api/client';
import { errorsIn } from '../../shared/api/errors-in';
import { TextBox } from '../../shared/forms/TextBox';
import { Button } from '../../shared/ui/Button';
import { Row, Rows } from '../../shared/ui/Rows';
import { Part } from '../../shared/ui/Screen';
import { Words } from '../../shared/ui/Words';

/** The code of the school that asks for one. */
function CodeFor({
  school,
  go,
}: {
  readonly school: OtherSchool;
  readonly go: ReturnType<typeof useGoToSchool>;
}) {
  const [code, setCode] = useState('');
  const submit = () => go.mutate({ schoolId: school.id, code });
  return (
    <>
      <TextBox
        label={`Code for ${school.name}`}
        hint="Six figures from your code app, or a spare code."
        value={code}
        onChangeText={setCode}
        error={errorsIn(go.error).of('code')}
        autoComplete="one-time-code"
        autoCapitalize="none"
        autoFocus
        onSubmitEditing={submit}
      />
      <Button
        label={go.isPending ? 'One moment …' : `Go to ${school.name}`}
        disabled={go.isPending || code === ''}
        onPress={submit}
      />
    </>
  );
}

/** Other schools where one's address signs in; nothing where there is none. */
export function OtherSchools() {
  const schools = useOtherSchools().data ?? [];
  const go = useGoToSchool();
  const leftBehind = useLeftBehind();
  const [needsCode, setNeedsCode] = useState<OtherSchool | null>(null);
  if (schools.length === 0) return null;
  const goTo = (school: OtherSchool) =>
    go.mutate(
      { schoolId: school.id },
      {
        onError: (error) => {
          if (error instanceof ApiProblem && error.clash.needs === 'code') setNeedsCode(school);
        },
      },
    );
  const { whole } = errorsIn(go.error);
  return (
    <Part heading="Other schools">
      <LeftBehind />
      {whole && !needsCode ? <Words as="strong" role="alert">{`! ${whole}`}</Words> : null}
      <Rows>
        {schools.map((school) => (
          <Row
            key={school.id}
            title={school.name}
            under={school.opens ? undefined : 'Another password there: sign out, and sign in with that one.'}
            after={
              school.opens && leftBehind === 0 ? (
                <Button label="Go there" says={`Go to ${school.name}`} onPress={() => goTo(school)} />
              ) : undefined
            }
          />
        ))}
      </Rows>
      {needsCode && leftBehind === 0 ? <CodeFor school={needsCode} go={go} /> : null}
    </Part>
  );
}
