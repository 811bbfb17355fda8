<?php

declare(strict_types=1);

namespace App\Page;

use App\Http\Asked;
use Illuminate\Validation\Rule;
use Nasturtium\Core\Formats\Book\PageKind;

/** A page of a book. The policy stands on the route. */
final class PageRequest extends Asked
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [
            'number' => ['required', 'integer', 'between:1,999', Rule::unique('pages', 'number')->where('book_id', $this->bookId())->ignore($this->route('page'))],
            'last' => ['nullable', 'integer', 'between:1,999', 'gte:number'],
            'title' => ['nullable', 'string', 'max:120'],
            'kind' => ['required', Rule::enum(PageKind::class)],
            'introduces' => ['present', 'nullable', 'string', 'max:190'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['number.unique' => 'This book has a page :input already.', 'last.gte' => 'The last page comes after the first.'];
    }

    private function bookId(): int
    {
        $book = $this->route('book');
        $page = $this->route('page');

        return $book instanceof Book ? $book->id : ($page instanceof Page ? $page->book_id : 0);
    }
}
