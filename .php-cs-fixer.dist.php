<?php

declare(strict_types=1);
use PhpCsFixer\Config;
use PhpCsFixer\Finder;
use PhpCsFixer\Runner\Parallel\ParallelConfigFactory;

return (new Config())
    ->setRiskyAllowed(true)
    ->setParallelConfig(ParallelConfigFactory::detect())
    ->setCacheFile(__DIR__.'/.run/php-cs-fixer.cache')
    ->setFinder(Finder::create()
        ->in([__DIR__.'/app', __DIR__.'/core', __DIR__.'/config', __DIR__.'/database', __DIR__.'/routes', __DIR__.'/tests'])
        ->append([__FILE__, __DIR__.'/bootstrap/app.php', __DIR__.'/bootstrap/providers.php']))
    ->setRules([
        '@PER-CS' => true,
        'declare_strict_types' => true,
        'concat_space' => ['spacing' => 'none'],
        'ordered_imports' => ['sort_algorithm' => 'alpha', 'imports_order' => ['class', 'function', 'const']],
        'no_unused_imports' => true,
        'single_quote' => true,
        'not_operator_with_successor_space' => true,
        'no_superfluous_phpdoc_tags' => ['allow_mixed' => true],
        'phpdoc_trim' => true,
        'no_useless_else' => true,
        'no_extra_blank_lines' => true,
        'blank_line_before_statement' => ['statements' => ['return', 'continue']],
        'fully_qualified_strict_types' => ['import_symbols' => true],
        'native_type_declaration_casing' => true,
        'strict_comparison' => true,
        'function_declaration' => ['closure_fn_spacing' => 'one'],
        'single_line_empty_body' => true,
        'braces_position' => ['allow_single_line_anonymous_functions' => true, 'allow_single_line_empty_anonymous_classes' => true],
    ]);
