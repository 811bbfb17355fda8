import { queryOptions } from '@tanstack/react-query';
import { type Api, ask } from './api';

/** The report of a piece, as a student has it where one is named: asked for once, whoever needs it. */
export const breakdownOf = (id: number, student: number | null) =>
    queryOptions({
        queryKey: ['breakdown', id, student],
        queryFn: () =>
            ask<Api['BreakdownResource']>(
                'GET',
                `/pieces/${id}/breakdown${student === null ? '' : `?student=${student}`}`,
            ),
    });
