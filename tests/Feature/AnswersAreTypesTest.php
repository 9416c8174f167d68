<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\TestCase;

/**
 * Inside the app an answer is a class with names. Arrays with string keys live at the edges alone: where a page's JSON
 * is put together, what a calculator is asked, what a form holds and what the columns of a table take.
 */
final class AnswersAreTypesTest extends TestCase
{
    /** Classes that are the edge: they read a request, or put together what is sent. */
    private const EDGE = '/(Controller|Request|Resource|Report|WhatIf)$/';

    /** What an edge calls what it takes or gives, in the docblock of the method. */
    private const SAYS = '/(input of|of) `[a-z_.]+`|columns? of|as calculators take|\bas typed|\bwhat was typed/';

    public function test_public_methods_take_and_give_arrays_of_anything_only_at_the_edge(): void
    {
        $found = [];
        foreach ($this->classes() as $class) {
            foreach ($class->getMethods(\ReflectionMethod::IS_PUBLIC) as $method) {
                $docblock = (string) $method->getDocComment();
                if (
                    $method->getDeclaringClass()->getName() === $class->getName() &&
                    $method->getName() !== 'toArray' &&
                    str_contains($docblock, 'array<string, mixed>') &&
                    preg_match(self::EDGE, $class->getName()) !== 1 &&
                    preg_match(self::SAYS, $docblock) !== 1
                ) {
                    $found[] = "{$class->getName()}::{$method->getName()}";
                }
            }
        }

        self::assertSame([], $found);
    }

    public function test_what_a_page_shows_is_put_together_for_a_page_alone(): void
    {
        $readers = [];
        foreach ($this->classes() as $class) {
            $source = (string) file_get_contents((string) $class->getFileName());
            // A report read back out of its array by another is a rule decided twice.
            if (preg_match('/(report|Report)->of\([^;]*\)\[\'/', $source) === 1) {
                $readers[] = $class->getName();
            }
        }

        self::assertSame([], $readers);
    }

    public function test_a_form_is_read_by_its_request_and_not_by_a_controller(): void
    {
        $found = [];
        foreach ($this->classes() as $class) {
            $source = (string) file_get_contents((string) $class->getFileName());
            if (
                str_ends_with($class->getName(), 'Controller') &&
                preg_match('/->validate\(|->input\(|->all\(\)\)->read|Day::read/', $source) === 1
            ) {
                $found[] = $class->getName();
            }
        }

        self::assertSame([], $found);
    }

    /** @return list<\ReflectionClass<object>> */
    private function classes(): array
    {
        $app = dirname(__DIR__, 2) . '/app';
        $classes = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($app)) as $file) {
            if ($file instanceof \SplFileInfo && $file->getExtension() === 'php') {
                $name = 'App\\' . str_replace('/', '\\', substr($file->getPathname(), strlen($app) + 1, -4));
                if (class_exists($name)) {
                    $classes[] = new \ReflectionClass($name);
                }
            }
        }
        self::assertGreaterThan(100, count($classes));

        return $classes;
    }
}
