/** Error function, to 1.2e-7 (Press et al. 1992, Numerical Recipes, Chebyshev fit). */
function erfc(x: number): number {
  const z = Math.abs(x)
  const t = 1 / (1 + z / 2)
  const tail =
    t *
    Math.exp(
      -z * z -
        1.26551223 +
        t *
          (1.00002368 +
            t *
              (0.37409196 +
                t *
                  (0.09678418 +
                    t *
                      (-0.18628806 +
                        t *
                          (0.27886807 + t * (-1.13520398 + t * (1.48851587 + t * (-0.82215223 + t * 0.17087277)))))))),
    )
  return x >= 0 ? tail : 2 - tail
}

/** The share of a standard normal below z. @example normalBelow(1.96) // 0.975 */
export function normalBelow(z: number): number {
  return erfc(-z / Math.SQRT2) / 2
}
