package farglass.matchup.fit;

/** The lower triangle L of a symmetric positive definite matrix A = L L'. */
final class Cholesky {
    private final double[][] l;

    /** @throws IllegalArgumentException when the matrix is not positive definite */
    Cholesky(double[][] a) {
        int n = a.length;
        l = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j <= i; j++) {
                double sum = a[i][j];
                for (int k = 0; k < j; k++) {
                    sum -= l[i][k] * l[j][k];
                }
                if (i == j) {
                    if (!(sum > 0)) {
                        throw new IllegalArgumentException("not positive definite at row " + i);
                    }
                    l[i][i] = Math.sqrt(sum);
                } else {
                    l[i][j] = sum / l[j][j];
                }
            }
        }
    }

    /** x with A x = b. */
    double[] solve(double[] b) {
        int n = l.length;
        double[] x = b.clone();
        for (int i = 0; i < n; i++) {
            for (int k = 0; k < i; k++) {
                x[i] -= l[i][k] * x[k];
            }
            x[i] /= l[i][i];
        }
        for (int i = n - 1; i >= 0; i--) {
            for (int k = i + 1; k < n; k++) {
                x[i] -= l[k][i] * x[k];
            }
            x[i] /= l[i][i];
        }
        return x;
    }

    double logDeterminant() {
        double sum = 0;
        for (int i = 0; i < l.length; i++) {
            sum += 2 * Math.log(l[i][i]);
        }
        return sum;
    }

    /** L z: of standard normal z a draw with covariance A. */
    double[] times(double[] z) {
        double[] x = new double[z.length];
        for (int i = 0; i < x.length; i++) {
            for (int k = 0; k <= i; k++) {
                x[i] += l[i][k] * z[k];
            }
        }
        return x;
    }
}
