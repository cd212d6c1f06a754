<?php

declare(strict_types=1);

namespace Tests\Mutation;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\Expr\BinaryOp;
use PhpParser\Node\Scalar;
use PhpParser\Node\Stmt;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;

/** Finds the small changes that can be made to a file: conditions, boundaries, constants, removed calls, returned values. */
final class Mutator extends NodeVisitorAbstract
{
    private const SIGNS = [
        '<' => '<=', '<=' => '<', '>' => '>=', '>=' => '>', '===' => '!==', '!==' => '===', '==' => '!=', '!=' => '==',
        '&&' => '||', '||' => '&&', '+' => '-', '-' => '+', '*' => '/', '/' => '*', '<=>' => null,
    ];

    /** @var list<Mutant> */
    private array $found = [];

    /** @var list<Node\FunctionLike> */
    private array $functions = [];

    private function __construct(private readonly string $file, private readonly string $source)
    {
    }

    /** @return list<Mutant> */
    public static function of(string $file, string $source): array
    {
        $mutator = new self($file, $source);
        $traverser = new NodeTraverser($mutator);
        $traverser->traverse((new ParserFactory)->createForHostVersion()->parse($source) ?? []);

        return $mutator->found;
    }

    public function enterNode(Node $node): ?int
    {
        // what is written for people or for the description of the API is no rule
        if ($node instanceof Node\AttributeGroup || $node instanceof Expr\Throw_ || $node instanceof Stmt\Declare_) {
            return NodeVisitorAbstract::DONT_TRAVERSE_CHILDREN;
        }
        if ($node instanceof Node\FunctionLike) {
            $this->functions[] = $node;
        }
        match (true) {
            $node instanceof BinaryOp => $this->sign($node),
            $node instanceof Expr\BooleanNot => $this->add($node, 'no longer negated', $this->text($node->expr)),
            $node instanceof Scalar\Int_, $node instanceof Scalar\Float_ => $this->figure($node),
            $node instanceof Expr\ConstFetch => $this->constant($node),
            $node instanceof Stmt\Expression => $this->call($node),
            $node instanceof Stmt\Return_ => $this->returned($node->expr),
            $node instanceof Expr\ArrowFunction => $this->returned($node->expr),
            default => null,
        };

        return null;
    }

    public function leaveNode(Node $node): null
    {
        if ($node instanceof Node\FunctionLike) {
            array_pop($this->functions);
        }

        return null;
    }

    private function sign(BinaryOp $node): void
    {
        $sign = $node->getOperatorSigil();
        $instead = self::SIGNS[$sign] ?? null;
        if ($sign === '<=>') {
            $this->add($node, '<=> turned round', $this->text($node->right).' <=> '.$this->text($node->left));

            return;
        }
        if ($instead === null) {
            return;
        }
        $from = $node->left->getEndFilePos() + 1;
        $at = strpos($this->source, $sign, $from);
        if ($at !== false && $at < $node->right->getStartFilePos()) {
            $this->found[] = new Mutant(
                $this->file,
                $node->getStartLine(),
                "{$sign} becomes {$instead}",
                $at,
                $at + strlen($sign) - 1,
                $instead,
            );
        }
    }

    private function figure(Scalar\Int_|Scalar\Float_ $node): void
    {
        $more = $node instanceof Scalar\Int_ ? (string) ($node->value + 1) : sprintf(
            '%.17g',
            $node->value === 0.0 ? 1.0 : $node->value * 1.5,
        );
        $more .= $node instanceof Scalar\Float_ && ! preg_match('/[.eE]/', $more) ? '.0' : '';
        $this->add($node, "{$this->text($node)} becomes {$more}", $more);
    }

    private function constant(Expr\ConstFetch $node): void
    {
        $name = $node->name->toLowerString();
        if ($name === 'true' || $name === 'false') {
            $this->add($node, "{$name} turned round", $name === 'true' ? 'false' : 'true');
        }
    }

    private function call(Stmt\Expression $node): void
    {
        if ($node->expr instanceof Expr\MethodCall
            || $node->expr instanceof Expr\StaticCall
            || $node->expr instanceof Expr\FuncCall
            || $node->expr instanceof Expr\NullsafeMethodCall) {
            $this->add($node, 'call removed: '.mb_strimwidth((string) preg_replace('/\s+/', ' ', $this->text($node)), 0, 60, '…'), '');
        }
    }

    private function returned(?Expr $expr): void
    {
        $type = $this->functions === [] ? null : $this->functions[count($this->functions) - 1]->getReturnType();
        if ($expr === null
            || $type === null
            || $expr instanceof Scalar
            || $expr instanceof Expr\ConstFetch
            || $expr instanceof Expr\Throw_) {
            return;
        }
        $name = $type instanceof Node\NullableType ? 'null' : ($type instanceof Node\Identifier ? $type->toLowerString() : '');
        $instead = match ($name) {
            'null' => 'null',
            'bool' => "! ({$this->text($expr)})",
            'int' => "1 + ({$this->text($expr)})",
            'float' => "1.5 * ({$this->text($expr)}) + 0.1",
            'array' => $expr instanceof Expr\Array_ && $expr->items === [] ? null : '[]',
            'string' => "''",
            default => null,
        };
        if ($instead !== null && $instead !== $this->text($expr)) {
            $this->add(
                $expr,
                'returns '.($name === 'bool' ? 'the opposite' : ($name === 'null' ? 'nothing' : "another {$name}")),
                $instead,
            );
        }
    }

    private function add(Node $node, string $what, string $instead): void
    {
        $this->found[] = new Mutant($this->file, $node->getStartLine(), $what, $node->getStartFilePos(), $node->getEndFilePos(), $instead);
    }

    private function text(Node $node): string
    {
        return substr($this->source, $node->getStartFilePos(), $node->getEndFilePos() - $node->getStartFilePos() + 1);
    }
}
