<?php

declare(strict_types=1);

namespace App\Account;

use App\Api\ListOf;
use OpenApi\Attributes as OA;

/** What somebody finds who is not signed in. */
#[OA\Schema]
final readonly class WelcomeResource
{
    /**
     * @param  bool  $isEmpty  nobody has an account here yet
     * @param  bool  $isOpen  an account can be made: the first one, or any where the installation allows it
     * @param  list<string>  $countries  two letters each
     */
    public function __construct(
        #[OA\Property]
        public bool $isEmpty,
        #[OA\Property]
        public bool $isOpen,
        #[ListOf('string')]
        public array $countries,
    ) {}
}
