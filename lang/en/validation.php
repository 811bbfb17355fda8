<?php

declare(strict_types=1);

/*
 * What is said of a field that cannot be taken: which one, and what to do. Anything not named here is said by the framework.
 */
return [
    'after_or_equal' => ':Attribute: choose :date or a later day.',
    'array' => ':Attribute: this should be a list.',
    'before_or_equal' => ':Attribute: choose :date or an earlier day.',
    'between' => [
        'array' => ':Attribute: from :min to :max of them.',
        'file' => ':Attribute: the file should have from :min to :max kB.',
        'numeric' => ':Attribute: use a number from :min to :max.',
        'string' => ':Attribute: use from :min to :max letters.',
    ],
    'boolean' => ':Attribute: say yes or no.',
    'date' => ':Attribute: write a day as 2031-05-06.',
    'date_format' => ':Attribute: write it as :format.',
    'distinct' => ':Attribute: the same one is there twice.',
    'email' => ':Attribute: this is no email address. Check it for typing errors.',
    'enum' => ':Attribute: choose one of the list.',
    'exists' => ':Attribute: this is not here any more. Choose another.',
    'file' => ':Attribute: choose a file.',
    'gte' => ['numeric' => ':Attribute: use :value or more.'],
    'in' => ':Attribute: choose one of the list.',
    'integer' => ':Attribute: use a whole number.',
    'max' => [
        'array' => ':Attribute: at most :max of them.',
        'file' => ':Attribute: the file should have at most :max kB.',
        'numeric' => ':Attribute: use :max or less.',
        'string' => ':Attribute: use :max letters or fewer.',
    ],
    'min' => [
        'array' => ':Attribute: at least :min of them.',
        'file' => ':Attribute: the file should have at least :min kB.',
        'numeric' => ':Attribute: use :min or more.',
        'string' => ':Attribute: use :min letters or more.',
    ],
    'numeric' => ':Attribute: use a number.',
    'present' => ':Attribute is missing.',
    'regex' => ':Attribute: this is not written as it should be.',
    'required' => 'Please fill in: :attribute.',
    'required_if' => 'Please fill in: :attribute.',
    'required_with' => 'Please fill in: :attribute.',
    'required_without' => 'Please fill in: :attribute.',
    'string' => ':Attribute: this should be text.',
    'timezone' => ':Attribute: choose one of the list.',
    'unique' => ':Attribute: this one is taken already.',
    'uuid' => ':Attribute: this is not written as it should be.',
];
