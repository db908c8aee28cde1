import type { AgreementPage, CaseJudged } from '@skelby/core/pages/agreement';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { get, put } from '../shared/api/client';

const AGREEMENT = ['agreement'];

/** Read from the server alone: what others said may be told only once one has judged oneself. */
export const useAgreement = () =>
  useQuery({ queryKey: AGREEMENT, queryFn: () => get<AgreementPage>('/agreement'), gcTime: 0 });

export function useJudgeCase() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ caseId, causeId }: CaseJudged) => put(`/agreement/${caseId}`, { causeId }),
    onSuccess: () => client.invalidateQueries({ queryKey: AGREEMENT }),
  });
}
