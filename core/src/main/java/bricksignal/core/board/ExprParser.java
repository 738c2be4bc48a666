package bricksignal.core.board;

import java.util.ArrayList;
import java.util.List;

/**
 * Reads expressions: {@code in.draft and draft >= 0.7 * vent}. Words are {@code and}, {@code or}, {@code not}; signs are
 * {@code >= <= > < + - * / ( )}. A name is a letter followed by letters, digits, dots and hyphens, so a minus sign stands
 * between spaces.
 */
public final class ExprParser {

    private static final int MOST_CHARACTERS = 1000;
    private static final int DEEPEST = 40;

    private final String text;
    private final List<String> tokens = new ArrayList<>();
    private int next;
    private int depth;

    private ExprParser(String text) {
        if (text.length() > MOST_CHARACTERS) {
            throw new IllegalArgumentException("an expression has " + text.length() + " characters; at most " + MOST_CHARACTERS
                    + " are read");
        }
        this.text = text;
        tokenise();
    }

    /**
     * The expression of a text.
     *
     * @throws IllegalArgumentException if the text is not an expression, with the place where it stops being one
     */
    public static Expr parse(String text) {
        ExprParser parser = new ExprParser(text);
        Expr expr = parser.binary(0);
        if (parser.next < parser.tokens.size()) {
            throw parser.refuse("'" + parser.tokens.get(parser.next) + "' is not expected here");
        }
        return expr;
    }

    private Expr binary(int rank) {
        if (rank > Expr.Operator.OVER.rank()) {
            return unary();
        }
        Expr left = binary(rank + 1);
        while (true) {
            Expr.Operator operator = operator(rank);
            if (operator == null) {
                return left;
            }
            next++;
            left = new Expr.Binary(operator, left, binary(rank + 1));
        }
    }

    private Expr.@org.jspecify.annotations.Nullable Operator operator(int rank) {
        if (next < tokens.size()) {
            for (Expr.Operator operator : Expr.Operator.values()) {
                if (operator.rank() == rank && operator.sign().equals(tokens.get(next))) {
                    return operator;
                }
            }
        }
        return null;
    }

    private Expr unary() {
        if (next >= tokens.size()) {
            throw refuse("it ends too early");
        }
        if (++depth > DEEPEST) {
            throw refuse("it is nested more than " + DEEPEST + " deep");
        }
        Expr inner = operand(tokens.get(next++));
        depth--;
        return inner;
    }

    private Expr operand(String token) {
        if (token.equals("not")) {
            return new Expr.Not(binary(Expr.Operator.AT_LEAST.rank()));
        }
        if (token.equals("(")) {
            Expr inner = binary(0);
            if (next >= tokens.size() || !tokens.get(next++).equals(")")) {
                throw refuse("a ')' is missing");
            }
            return inner;
        }
        char first = token.charAt(0);
        if (Character.isLetter(first)) {
            return Expr.Name.of(token);
        }
        if (Character.isDigit(first)) {
            return new Expr.Number(Double.parseDouble(token));
        }
        throw refuse("'" + token + "' is not expected here");
    }

    private void tokenise() {
        int i = 0;
        while (i < text.length()) {
            char c = text.charAt(i);
            if (Character.isWhitespace(c)) {
                i++;
            } else if (Character.isLetter(c)) {
                i = take(i, true);
            } else if (Character.isDigit(c)) {
                i = take(i, false);
            } else if (i + 1 < text.length() && text.charAt(i + 1) == '=' && (c == '>' || c == '<')) {
                tokens.add(text.substring(i, i + 2));
                i += 2;
            } else {
                tokens.add(String.valueOf(c));
                i++;
            }
        }
    }

    private int take(int start, boolean name) {
        int end = start;
        while (end < text.length() && (Character.isDigit(text.charAt(end)) || text.charAt(end) == '.'
                || name && (Character.isLetter(text.charAt(end)) || text.charAt(end) == '-'))) {
            end++;
        }
        tokens.add(text.substring(start, end));
        return end;
    }

    private IllegalArgumentException refuse(String why) {
        return new IllegalArgumentException("cannot read the expression '" + text + "': " + why);
    }
}
